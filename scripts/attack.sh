#!/usr/bin/env bash
# The long forms of the attacks whose short forms are in ./etlo test; the product is started and ended by them.
#   scripts/attack.sh kill [N]      kill -9 of the server N/3 times and of the database twice as often in the middle of saves (200)
#   scripts/attack.sh fuzz [N]      about N mutated documents, tables and requests (20000)
#   scripts/attack.sh sweep         every endpoint in every spelling, slow and large bodies
#   scripts/attack.sh load [S]      fifty people editing for S seconds (600)
set -euo pipefail
cd "$(dirname "$0")/.."
what=${1:-}; n=${2:-}
[[ -z $n || $n =~ ^[0-9]{1,6}$ ]] || { echo "a number, not $n" >&2; exit 64; }
export ETLO_NODE; ETLO_NODE=$(command -v node)
it() {
  mvn -B -ntp -pl core,testkit,web,standins,server,e2e -Dweb.skip.check=true -Dspotless.check.skip=true -Djacoco.skip=true \
    -Dtest=none -Dsurefire.failIfNoSpecifiedTests=false -Dfailsafe.failIfNoSpecifiedTests=false "$@" verify
}
case $what in
kill)
  it "-Dit.test=FaultIT#a_server_killed*+a_database_killed*" "-Detlo.kills=$((${n:-200} / 3 + 1))" ;;
fuzz)
  mvn -B -ntp -pl core,testkit,web,standins,server -Dweb.skip.check=true -Dspotless.check.skip=true -Djacoco.skip=true \
    -Dtest=FuzzTest -Dsurefire.failIfNoSpecifiedTests=false "-Detlo.fuzz=$(((${n:-20000} + 3599) / 3600))" verify ;;
sweep) it -Dit.test=WallIT ;;
load) it -Dit.test=LoadIT -Detlo.people=50 "-Detlo.load-seconds=${n:-600}" ;;
*) sed -n '3,7s/^# *//p' "$0" >&2; exit 64 ;;
esac
