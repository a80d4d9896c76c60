# ./vivid dev: Vite serves the interface with hot reload; the server is compiled and started again when its sources change.

need_jdk
need_node
need_maven
[ -n "${VIVID_DATABASE_URL:-}" ] || need_postgres
hold_data_folder
choose_port

SERVER_PID='' WEB_PID=''
stop() {
  trap '' INT TERM HUP
  for pid in $SERVER_PID $WEB_PID; do kill -TERM -- "-$pid" 2>/dev/null; done
  wait 2>/dev/null
  database_down
}
trap 'echo; echo "Stopping ..."; stop; exit 0' INT TERM HUP
trap stop EXIT

echo "Compiling ..."
CLASSPATH_FILE=$ROOT/server/target/dev.classpath
mkdir -p server/target
maven_quietly -Dskip.web -Dspotless.check.skip=true -pl core,formats,web,server compile \
  org.apache.maven.plugins:maven-dependency-plugin:build-classpath -Dmdep.outputFile="$CLASSPATH_FILE" || die "It does not compile; the lines above say why."
(cd web && npm run --silent ensure) || die "The packages of the interface could not be installed; the lines above say why."
database_up

set -m
start_server() {
  VIVID_PORT=$PORT "$JAVA_HOME/bin/java" --enable-native-access=ALL-UNNAMED \
    -cp "server/target/classes:core/target/classes:formats/target/classes:$(cat "$CLASSPATH_FILE")" \
    vividroster.server.VividRosterApplication 9>&- &
  SERVER_PID=$!
}
start_server
(cd web && VIVID_API_PORT=$PORT exec npm run --silent dev) 9>&- &
WEB_PID=$!
set +m

echo "The server is on port $PORT; open the address that Vite prints below. Ctrl-C stops everything."
stamp=$(mktemp)
while kill -0 "$WEB_PID" 2>/dev/null; do
  if [ -n "$(find {core,formats,server}/src/main demo -newer "$stamp" -type f -print -quit)" ]; then
    touch "$stamp"
    echo "Compiling what changed ..."
    if maven_quietly -Dskip.web -Dspotless.check.skip=true -pl core,formats,web,server compile; then
      kill -TERM "$SERVER_PID" 2>/dev/null
      wait "$SERVER_PID" 2>/dev/null
      set -m
      start_server
      set +m
    else
      echo "It does not compile yet; the server runs on as it was."
    fi
  fi
  sleep 1
done
die "The interface's server stopped; the lines above say why."
