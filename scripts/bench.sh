#!/usr/bin/env bash
# Measures against the running demo: evaluation in the core with JMH and over HTTP, or fifty people at once.
#   ETLO_LIMITS_EVALUATE_SESSION=60000 ETLO_LIMITS_EVALUATE_BURST=6000 ETLO_LIMITS_ENTRANCE_BURST=400 \
#     ETLO_LIMITS_IMPORTS_SESSION=2000 ETLO_LIMITS_IMPORTS_ADDRESS=2000 ETLO_LIMITS_IMPORTS_BURST=2000 ./etlo demo
#   scripts/bench.sh [evaluate | speed | load SECONDS | list FIELDS | ground | refresh | mix | simulation]
set -euo pipefail
cd "$(dirname "$0")/.."
mvn -B -ntp -q -pl core,testkit,bench -DskipTests -Dspotless.check.skip=true -Djacoco.skip=true package \
  org.apache.maven.plugins:maven-dependency-plugin:build-classpath -Dmdep.outputFile=target/classpath
path=bench/target/classes:core/target/classes:testkit/target/classes:$(cat bench/target/classpath)
state=${ETLO_HOME:-$([ "$(id -u)" = 0 ] && echo /var/lib/etlo || echo "${XDG_STATE_HOME:-$HOME/.local/state}/etlo")}
if [ "${1:-evaluate}" = load ]; then
  exec java -cp "$path" app.etlo.bench.LoadRun "http://127.0.0.1:$(cat "$state/port")" "${2:-180}"
fi
if [ "${1:-evaluate}" = list ]; then
  exec java -cp "$path" app.etlo.bench.ListRun "http://127.0.0.1:$(cat "$state/port")" "${2:-2000}"
fi
if [ "${1:-evaluate}" = ground ]; then
  exec java -cp "$path" app.etlo.bench.GroundRun "http://127.0.0.1:$(cat "$state/port")"
fi
if [ "${1:-evaluate}" = refresh ]; then
  exec java -cp "$path" app.etlo.bench.RefreshRun "http://127.0.0.1:$(cat "$state/port")"
fi
if [ "${1:-evaluate}" = mix ]; then
  exec java -cp "$path" org.openjdk.jmh.Main app.etlo.bench.MixBenchmark
fi
if [ "${1:-evaluate}" = simulation ]; then
  exec java -cp "$path" org.openjdk.jmh.Main app.etlo.core.ground.SimulationBenchmark -prof gc
fi
if [ "${1:-evaluate}" = speed ]; then
  exec java -cp "$path" app.etlo.bench.SpeedRun "http://127.0.0.1:$(cat "$state/port")" "$(cat "$state/demo-password")"
fi
java -cp "$path" org.openjdk.jmh.Main app.etlo.bench.EvaluationBenchmark
java -cp "$path" app.etlo.bench.HttpRun "http://127.0.0.1:$(cat "$state/port")" "$(cat "$state/demo-password")"
