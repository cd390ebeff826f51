# A backup is one consistent file; it is restored into an empty place or not at all.

# open_database KIND: sets DATABASE_URL to what is kept here, started for as long as this takes when it is not running.
open_database() {
  [ -n "${DATABASE_URL:-}" ] && return
  local home
  home=$(cluster_home)/$1
  if as_database_user "$PG_BIN/pg_ctl" -D "$home/data" status >/dev/null 2>&1; then
    local port
    port=$(as_database_user sed -n 4p "$home/data/postmaster.pid")
    export DATABASE_URL="postgres://tally:$(word_in "$DATA/database-word")@127.0.0.1:$port/postgres"
    return
  fi
  as_database_user mkdir -p "$home"
  trap 'stop_cluster; exit 1' INT TERM HUP
  start_cluster "$home" on
}

# keep_arguments WHAT ARGUMENTS…: sets KIND and FILE.
keep_arguments() {
  local what=$1
  shift
  KIND=serve FILE=''
  while [ $# -gt 0 ]; do
    case "$1" in
      --demo) KIND=demo ;;
      -*) fail "Wanted $what [--demo] FILE, got \"$1\"." ;;
      *) FILE=$1 ;;
    esac
    shift
  done
  [ -n "$FILE" ] || fail "Wanted a file: ./tally $what FILE."
  case "$FILE" in /*) ;; *) FILE=$INVOKED_FROM/$FILE ;; esac
}

need_clients() {
  need_node
  mkdir -p "$DATA"
  [ -n "$(pg_bin)" ] || need_packages postgresql
  PG_BIN=$(pg_bin)
}

make_backup() {
  keep_arguments backup "$@"
  [ ! -e "$FILE" ] || fail "Wanted a new file, got $FILE, which is there already. Nothing was changed."
  need_clients
  if [ -z "${DATABASE_URL:-}" ] && ! as_database_user test -s "$(cluster_home)/$KIND/data/PG_VERSION"; then
    fail "Nothing is kept here yet: start it once by ./tally $KIND."
  fi
  open_database "$KIND"
  # One snapshot, whatever is saved meanwhile; who is signed in and how often somebody tried is nobody's to keep.
  (
    umask 077
    "$PG_BIN/pg_dump" "$DATABASE_URL" -Fc --no-owner --no-privileges --exclude-table-data=sessions --exclude-table-data=throttle \
      --exclude-table-data=heartbeats --exclude-table-data=invites -f "$FILE.part" 2>"$DATA/backup.log" && mv "$FILE.part" "$FILE"
  )
  local status=$?
  rm -f "$FILE.part"
  stop_cluster
  [ "$status" = 0 ] || fail "The backup was not made; see $DATA/backup.log."
  say "Kept in $FILE."
}

restore_backup() {
  keep_arguments restore "$@"
  [ -r "$FILE" ] || fail "Wanted a backup, got $FILE, which cannot be read."
  need_clients
  "$PG_BIN/pg_restore" -l "$FILE" 2>/dev/null | grep -q 'TABLE DATA public jobs' ||
    fail "Wanted a backup made by ./tally backup, got another file: $FILE. Nothing was changed."
  if [ -z "${DATABASE_URL:-}" ]; then take_lock; fi
  open_database "$KIND"
  local held
  held=$("$PG_BIN/psql" -X -At "$DATABASE_URL" -c "select count(*) from pg_tables where schemaname = 'public'" 2>"$DATA/restore.log")
  if [ "$held" != 0 ]; then
    stop_cluster
    [ -n "$held" ] || fail "The database did not answer; see $DATA/restore.log."
    fail "Wanted an empty place to restore into, got one that holds $held tables. Nothing was changed."
  fi
  "$PG_BIN/pg_restore" -d "$DATABASE_URL" --no-owner --no-privileges --exit-on-error --single-transaction "$FILE" 2>"$DATA/restore.log"
  local status=$?
  stop_cluster
  [ "$status" = 0 ] || fail "It was not restored and nothing was changed; see $DATA/restore.log."
  say "Restored. Everybody signs in anew."
}
