#!/usr/bin/env bash
# Changes the rules of nitrogen, tillage, mix and advice a little, one change at a time, and counts how many of the changes the tests
# notice. Takes the better part of an hour on two cores.
#   scripts/mutation.sh                                      all four rooms
#   scripts/mutation.sh -DtargetClasses='app.etlo.core.nitrogen.*'   one of them
set -euo pipefail
cd "$(dirname "$0")/.."
mvn -B -ntp -q -pl core -Pmutation -Dspotless.check.skip=true -Djacoco.skip=true test-compile
mvn -B -ntp -pl core -Pmutation org.pitest:pitest-maven:1.20.4:mutationCoverage "$@"
echo "the report: core/target/pit-reports/index.html"
