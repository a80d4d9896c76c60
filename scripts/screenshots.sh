# ./vivid screenshots: the pictures in docs/screenshots, from the demo.

need_jdk
need_node
need_maven
need_postgres
need_chromium
. scripts/throwaway.sh

echo "Building ..."
build_with_classpath e2e
"$JAVA_HOME/bin/java" --enable-native-access=ALL-UNNAMED -cp "e2e/target/test-classes:$CLASSPATH_OF" vividroster.e2e.Screenshots
