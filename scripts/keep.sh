#!/usr/bin/env bash
# Keeps the server running: starts it, and starts it again when it ends by itself (killed, or out of memory).
#   keep.sh HOME COMMAND...   writes HOME/server.pid and adds to HOME/server.log
# One that ends before it answers is started again after a pause that doubles, from one second to half a minute; a first start
# that fails is not repeated: whoever asked for it is told.
set -uo pipefail
home=$1; shift
starts() { grep -c '"message":"Started EtloServer' "$home/server.log" 2>/dev/null || true; }
pause=1
answered=
while true; do
  before=$(starts)
  "$@" >>"$home/server.log" 2>&1 </dev/null &
  server=$!
  echo "$server" >"$home/server.pid"
  wait "$server"
  code=$?
  echo "$(date -u +%Y-%m-%dT%H:%M:%SZ) the server ended with $code"
  if [ "$(starts)" -gt "${before:-0}" ]; then
    answered=yes
    pause=1
  elif [ -z "$answered" ]; then
    exit 1
  fi
  sleep "$pause"
  pause=$((pause * 2 > 30 ? 30 : pause * 2))
done
