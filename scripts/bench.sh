#!/usr/bin/env bash
# Measures evaluation: in the core with JMH, and over HTTP against the running demo (./etlo demo first).
set -euo pipefail
cd "$(dirname "$0")/.."
mvn -B -ntp -q -pl core,bench -DskipTests -Dspotless.check.skip=true -Djacoco.skip=true package \
  org.apache.maven.plugins:maven-dependency-plugin:build-classpath -Dmdep.outputFile=target/classpath
path=bench/target/classes:core/target/classes:$(cat bench/target/classpath)
java -cp "$path" org.openjdk.jmh.Main app.etlo.bench.EvaluationBenchmark
state=${ETLO_HOME:-$([ "$(id -u)" = 0 ] && echo /var/lib/etlo || echo "${XDG_STATE_HOME:-$HOME/.local/state}/etlo")}
java -cp "$path" app.etlo.bench.HttpRun "http://127.0.0.1:$(cat "$state/port")" "$(cat "$state/demo-password")"
