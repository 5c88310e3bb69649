#!/usr/bin/env bash
# Builds the bench and runs it beside the house: ./run bench
set -euo pipefail
cd "$(dirname "$0")/.."
mvn -q -B -ntp -Pbench -DskipTests package
exec "$JAVA_HOME/bin/java" -cp "bench/target/classes:core/target/classes:$(cat bench/target/classpath)" app.clearpane.bench.Bench "$@"
