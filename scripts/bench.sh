# ./vivid bench [name ...]: measurements, side by side in one run, against a durable cluster that is thrown away afterwards.

need_jdk
need_node
need_maven
need_postgres

VIVID_TEST_DIR=$(mktemp -d /tmp/vivid-bench.XXXXXX)
export VIVID_TEST_DIR VIVID_TEST_DURABLE=yes
chmod 755 "$VIVID_TEST_DIR"

throw_away() {
  for dir in "$VIVID_TEST_DIR"/*/; do [ -d "$dir/cluster" ] && pg_down "${dir%/}"; done
  rm -rf "$VIVID_TEST_DIR"
}
trap throw_away EXIT
trap 'exit 130' INT TERM

echo "Building ..."
maven_quietly -DskipTests -Dspotless.check.skip=true package || die "The build failed; the lines above say why."
maven_quietly -Dskip.web -Dspotless.check.skip=true -pl core,formats,web,server,bench package -DskipTests \
  org.apache.maven.plugins:maven-dependency-plugin:build-classpath -Dmdep.outputFile="$ROOT/bench/target/classpath" || die "The build failed."
"$JAVA_HOME/bin/java" -XX:+UseSerialGC -Xmx768m --enable-native-access=ALL-UNNAMED -cp "bench/target/classes:$(cat bench/target/classpath)" vividroster.bench.Bench "$@"
