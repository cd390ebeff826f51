# What the commands do.

# One server a checkout: the lock is held by this shell for as long as it lives.
take_lock() {
  exec 9>"$ROOT/.data/lock"
  flock -n 9 || fail "Even Tally is already running from this folder. Stop it there first (Ctrl-C)."
}

shut_down() {
  trap '' INT TERM HUP
  if [ -n "${SERVER:-}" ]; then
    kill -TERM "$SERVER" 2>/dev/null
    wait "$SERVER" 2>/dev/null
  fi
  [ -n "${OWN_CLUSTER:-}" ] && stop_cluster
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
      *) fail "Wanted --port N or --fresh, got \"$1\"." ;;
    esac
    shift
  done
  port=${port:-4600}
  case "$port" in '' | *[!0-9]*) fail "--port: wanted a whole number from 0 to 65535, got \"$port\"." ;; esac
  [ "$port" -le 65535 ] || fail "--port: wanted a whole number from 0 to 65535, got \"$port\"."
  [ -z "$fresh" ] || [ "$kind" = demo ] || fail "--fresh goes with demo only: it throws the kept jobs away."
  need_node
  mkdir -p "$ROOT/.data"
  take_lock
  need_postgres
  need_modules
  build_server
  build_web
  trap 'shut_down; exit 0' INT TERM HUP
  if [ -z "${DATABASE_URL:-}" ]; then
    OWN_CLUSTER=1
    local home
    home=$(cluster_home)
    # The demo and the jobs for keeping never share a database.
    [ "$kind" = demo ] && home=$home/demo || home=$home/serve
    as_database_user mkdir -p "$home"
    if [ -n "$fresh" ]; then
      CLUSTER=$home/data stop_cluster
      as_database_user rm -rf "$home/data"
    fi
    start_cluster "$home" on
  fi
  [ -s "$ROOT/.data/session-secret" ] || (umask 077 && random_word >"$ROOT/.data/session-secret")
  local demo=0
  [ "$kind" = demo ] && demo=1
  PORT=$port TALLY_DEMO=$demo DEMO_FOLDER="$ROOT/apps/server/demo" WEB_FOLDER="$ROOT/apps/web/dist" \
    SESSION_SECRET=$(cat "$ROOT/.data/session-secret") NODE_ENV=production LOG_LEVEL=${LOG_LEVEL:-warn} \
    node apps/server/dist/main.js 9>&- &
  SERVER=$!
  wait "$SERVER"
  status=$?
  SERVER=''
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

run_tests() {
  need_node
  mkdir -p "$ROOT/.data"
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
