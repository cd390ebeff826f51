# Installing what is missing, once, and building what has changed.

# One look at Node, for its version and for what its built modules fit: every command waits for it.
need_node() {
  local found major minor
  command -v node >/dev/null 2>&1 || fail "Even Tally needs Node 20.19 or newer; none was found."
  read -r found NODE_MODULES_ABI <<<"$(node -p 'process.versions.node + " " + process.versions.modules')"
  IFS=. read -r major minor _ <<<"$found"
  [ "$major" -gt 20 ] || { [ "$major" -eq 20 ] && [ "$minor" -ge 19 ]; } ||
    fail "Even Tally needs Node 20.19 or newer, found $found."
}

# Only what installs asks for it.
need_npm() {
  local found
  command -v npm >/dev/null 2>&1 || fail "Even Tally needs npm 10 or newer; none was found."
  found=$(npm --version 2>/dev/null)
  [ "${found%%.*}" -ge 10 ] 2>/dev/null || fail "Even Tally needs npm 10 or newer, found $found."
}

# Root installs; anybody else may where sudo asks nothing. Otherwise say what is wanted.
need_packages() {
  local as=()
  if [ "$(id -u)" != 0 ]; then
    if command -v sudo >/dev/null 2>&1 && sudo -n true 2>/dev/null; then as=(sudo -n); else
      fail "Missing from this machine: $*. Ask whoever looks after it to install them (apt-get install $*)."
    fi
  fi
  say "Installing $* (once)…"
  # Without this file Debian would create and start a database cluster of its own.
  "${as[@]}" mkdir -p /etc/postgresql-common
  grep -qs '^create_main_cluster' /etc/postgresql-common/createcluster.conf ||
    echo 'create_main_cluster = false' | "${as[@]}" tee -a /etc/postgresql-common/createcluster.conf >/dev/null
  { "${as[@]}" apt-get update -qq &&
    "${as[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends \
      -o Dpkg::Options::=--force-confold "$@"; } >"$ROOT/.data/apt.log" 2>&1 ||
    fail "Installing $* failed; see .data/apt.log."
}

pg_bin() { find /usr/lib/postgresql -maxdepth 3 -name initdb -path '*/bin/*' 2>/dev/null | sort -V | tail -n 1 | xargs -r dirname; }

need_postgres() {
  [ -n "${DATABASE_URL:-}" ] && return
  [ -n "$(pg_bin)" ] || need_packages postgresql
  PG_BIN=$(pg_bin)
  [ -n "$PG_BIN" ] || fail "PostgreSQL was installed but its programs were not found under /usr/lib/postgresql."
}

need_chromium() {
  CHROMIUM=$(command -v chromium || true)
  [ -n "$CHROMIUM" ] || need_packages chromium
  CHROMIUM=$(command -v chromium || true)
  export CHROMIUM
}

need_modules() {
  local stamp
  mkdir -p "$ROOT/.data"
  stamp=$(cksum "$ROOT/package-lock.json" | cut -d' ' -f1)-$NODE_MODULES_ABI
  [ "$(cat node_modules/.tally-stamp 2>/dev/null)" = "$stamp" ] && return
  need_npm
  say "Installing packages (once)…"
  npm ci --no-progress >"$ROOT/.data/npm.log" 2>&1 || fail "npm ci failed; see .data/npm.log."
  echo "$stamp" >node_modules/.tally-stamp
}

# build NAME SOURCES… -- COMMAND…: runs the command only when a source is newer than the last build.
build() {
  local name=$1 sources=() stamp
  shift
  while [ "$1" != -- ]; do
    sources+=("$1")
    shift
  done
  shift
  stamp="$ROOT/.data/built-$name"
  if [ -e "$stamp" ] && [ -z "$(find "${sources[@]}" -newer "$stamp" -print -quit 2>/dev/null)" ]; then return; fi
  say "Building the $name…"
  touch "$stamp.next"
  "$@" >"$ROOT/.data/build-$name.log" 2>&1 || {
    cat "$ROOT/.data/build-$name.log" >&2
    fail "Building the $name failed."
  }
  mv "$stamp.next" "$stamp"
}

TSC="node node_modules/typescript/bin/tsc"
build_cli() {
  build "command line" packages/core/src packages/words/src packages/exports/src apps/cli/src apps/cli/vite.config.ts package-lock.json -- \
    node node_modules/vite/bin/vite.js build apps/cli
}
build_server() { build server packages/core/src packages/words/src packages/exports/src apps/server/src package-lock.json -- $TSC -b apps/server; }
build_web() {
  build "web application" packages/core/src packages/words/src packages/exports/src apps/web/src apps/web/index.html apps/web/vite.config.ts package-lock.json -- \
    node node_modules/vite/bin/vite.js build apps/web
}
