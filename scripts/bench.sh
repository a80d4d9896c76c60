# ./vivid bench [name ...]: measurements, side by side in one run, against a durable cluster that is thrown away afterwards.

need_jdk
need_node
need_maven
need_postgres
need_chromium
. scripts/throwaway.sh
export VIVID_TEST_DURABLE=yes

echo "Building ..."
build_with_classpath bench
"$JAVA_HOME/bin/java" -XX:+UseSerialGC -Xmx768m --enable-native-access=ALL-UNNAMED --sun-misc-unsafe-memory-access=allow \
  -cp "bench/target/classes:$CLASSPATH_OF" vividroster.bench.Bench "$@"
