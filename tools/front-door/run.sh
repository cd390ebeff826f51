# What the commands do.

# One server a checkout: the lock is held by this shell for as long as it lives.
take_lock() {
  exec 9>"$DATA/lock"
  flock -n 9 || fail "Even Tally is already running from this folder. Stop it there first (Ctrl-C)."
}

run_server() {
  local kind=$1 port=${PORT:-} fresh='' status
  shift
  while [ $# -gt 0 ]; do
    case "$1" in
      --port)
        port=${2:-}
        shift
        ;;
      --port=*) port=${1#--port=} ;;
      --fresh) fresh=1 ;;
      --tls)
        [ "$kind" = serve ] || fail "--tls goes with serve: the demo is for this machine alone."
        [ $# -ge 3 ] || fail "Wanted --tls CERT KEY, got less."
        export TLS_CERT TLS_KEY
        TLS_CERT=$(cd "$INVOKED_FROM" && realpath "$2") TLS_KEY=$(cd "$INVOKED_FROM" && realpath "$3")
        shift 2
        ;;
      --host)
        export HOST=${2:-}
        shift
        ;;
      *) fail "Wanted --port N, --host ADDRESS, --tls CERT KEY or --fresh, got \"$1\"." ;;
    esac
    shift
  done
  port=${port:-4600}
  case "$port" in '' | *[!0-9]*) fail "--port: wanted a whole number from 0 to 65535, got \"$port\"." ;; esac
  [ "$port" -le 65535 ] || fail "--port: wanted a whole number from 0 to 65535, got \"$port\"."
  [ -z "$fresh" ] || [ "$kind" = demo ] || fail "--fresh goes with demo only: it throws the kept jobs away."
  need_node
  mkdir -p "$DATA"
  take_lock
  need_postgres
  need_modules
  build_server
  build_web
  trap 'shut_down; exit 0' INT TERM HUP
  if [ -z "${DATABASE_URL:-}" ]; then
    local home
    home=$(cluster_home)
    # The demo and the jobs for keeping never share a database.
    home=$home/$kind
    as_database_user mkdir -p "$home"
    [ -z "$fresh" ] || as_database_user rm -rf "$home/data"
    start_cluster "$home" on
    split_roles
  fi
  SESSION_SECRET=${SESSION_SECRET:-$(word_in "$DATA/session-secret")}
  export SESSION_SECRET TALLY_DEMO=0 DEMO_FOLDER="$ROOT/apps/server/demo" WEB_FOLDER="$ROOT/apps/web/dist" NODE_ENV=production
  # What is kept keeps a log of who came in; a demo says what goes wrong, and where it is looked at.
  if [ "$kind" = demo ]; then
    export TALLY_DEMO=1 LOG_LEVEL=${LOG_LEVEL:-warn}
  else
    export LOG_LEVEL=${LOG_LEVEL:-info} LOG_FILE=${LOG_FILE:-$DATA/server.log}
  fi
  rm -f "$DATA/ready"
  SERVER_PORT=$port
  start_server
  watch_over
  status=$?
  shut_down
  exit "$status"
}

run_cli() {
  local command=$1
  shift
  need_node
  need_modules
  build_cli
  # File names are as seen from where the command was given. One job is soon planned: code compiled plainly at once serves
  # it better than code made fast later (a tenth of the time of a long wall's advice).
  (cd "$INVOKED_FROM" && exec node --always-sparkplug "$ROOT/apps/cli/dist/main.js" "$command" "$@")
  exit $?
}

# A database of its own, thrown away after: fsync on, as for keeping.
bench_server() {
  need_node
  mkdir -p "$DATA"
  need_postgres
  need_modules
  build_server
  build_web
  local home status
  home=$(mktemp -d "${TMPDIR:-/tmp}/even-tally-bench.XXXXXX")
  chmod 711 "$home"
  [ "$(id -u)" = 0 ] && chown postgres "$home"
  trap 'stop_cluster; rm -rf "$home"; exit 1' INT TERM HUP
  unset DATABASE_URL
  start_cluster "$home" on
  node tools/bench-server.mjs
  status=$?
  stop_cluster
  rm -rf "$home"
  exit "$status"
}

run_tests() {
  need_node
  mkdir -p "$DATA"
  need_postgres
  need_chromium
  need_modules
  local home status
  home=$(mktemp -d "${TMPDIR:-/tmp}/even-tally-test.XXXXXX")
  chmod 711 "$home"
  if [ -z "${DATABASE_URL:-}" ]; then
    [ "$(id -u)" = 0 ] && chown postgres "$home"
    trap 'stop_cluster; rm -rf "$home"; exit 1' INT TERM HUP
    start_cluster "$home" off
  fi
  build_server
  build_web
  build_cli
  node tools/test.mjs "$@"
  status=$?
  stop_cluster
  rm -rf "$home"
  exit "$status"
}
