# Whoever starts it watches it: what dies is started again, and what is stopped is stopped in time.

# Exit status by which the server says that starting it again would not help.
WRONG=78

# What a request leaves behind is young when it is done with: room for it saves a tenth of the time.
start_server() {
  PORT=$SERVER_PORT READY_FILE="$DATA/ready" node --max-semi-space-size=32 "$ROOT/apps/server/dist/main.js" 9>&- &
  SERVER=$!
}

# A pause a signal ends.
pause() {
  sleep "$1" 9>&- &
  wait $! 2>/dev/null
}

alive() { kill -0 "$1" 2>/dev/null; }

# watch_over: until the server ends for good. A pause before each start grows while what is started does not last a minute.
# Both are looked at, and not waited for by turns: one that ends while the other is being started again is not missed.
watch_over() {
  local who status pause=1 began=$SECONDS
  while :; do
    if [ -n "${DATABASE:-}" ] && ! alive "$DATABASE"; then
      who=$DATABASE
    elif ! alive "$SERVER"; then
      who=$SERVER
    else
      pause 0.3
      continue
    fi
    wait "$who"
    status=$?
    if [ "$who" = "$SERVER" ] && { [ "$status" = "$WRONG" ] || [ "$status" = 0 ] || [ ! -s "$DATA/ready" ]; }; then
      SERVER=''
      [ "$status" = "$WRONG" ] && status=1
      return "$status"
    fi
    if ((SECONDS - began > 60)); then pause=1; else pause=$((pause * 2 > 30 ? 30 : pause * 2)); fi
    began=$SECONDS
    if [ "$who" = "$SERVER" ]; then
      complain "The server ended ($status). It is started again in $pause s."
      pause "$pause"
      SERVER_PORT=$(cat "$DATA/ready")
      start_server
    else
      complain "The database ended ($status). It is started again in $pause s; what was kept is kept."
      DATABASE=''
      until
        pause "$pause"
        launch_cluster
      do
        DATABASE=''
        pause=$((pause * 2 > 30 ? 30 : pause * 2))
        complain "The database did not start; see $CLUSTER_HOME/postgres.log. Tried again in $pause s."
      done
    fi
  done
}

# Ten seconds in all, whatever clients do: the server answers whom it can, then both are gone.
shut_down() {
  trap '' INT TERM HUP
  if [ -n "${SERVER:-}" ]; then
    kill -TERM "$SERVER" 2>/dev/null
    wait_gone "$SERVER" 75 || kill -KILL "$SERVER" 2>/dev/null
    wait "$SERVER" 2>/dev/null
  fi
  stop_cluster 20
}
