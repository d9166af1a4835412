#!/usr/bin/env bash
# Keeps the server running: starts it, and starts it again when it ends by itself (killed, or out of memory).
#   keep.sh HOME COMMAND...   writes HOME/server.pid and adds to HOME/server.log
# One that ends again within a minute of its start is started after a pause that doubles, from one second to half a minute.
# A first start that fails is not repeated: whoever asked for it is told.
set -uo pipefail
home=$1; shift
pause=1
answered=
while true; do
  began=$SECONDS
  "$@" >>"$home/server.log" 2>&1 </dev/null &
  server=$!
  echo "$server" >"$home/server.pid"
  wait "$server"
  code=$?
  lasted=$((SECONDS - began))
  echo "$(date -u +%Y-%m-%dT%H:%M:%SZ) the server ended with $code after $lasted s"
  [ -n "$answered" ] || grep -q '"message":"Started EtloServer' "$home/server.log" || exit 1
  answered=yes
  if [ "$lasted" -ge 60 ]; then pause=1; fi
  sleep "$pause"
  pause=$((pause * 2 > 30 ? 30 : pause * 2))
done
