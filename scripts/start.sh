# ./vivid start

need_jdk
need_node
need_maven
[ -n "${VIVID_DATABASE_URL:-}" ] || need_postgres
hold_data_folder
choose_port

APP=server/target/app
LOG=$DATA/start.log
. scripts/copies.sh
# Every line of the application, over restarts, in a form that programs read; turned over by the application itself.
export VIVID_LOG_FILE=$DATA/logs/vivid.log
(umask 077 && mkdir -p "$DATA/logs")
# Where the application leaves the first password of an empty programme; it is shown and gone.
export VIVID_FIRST_SIGN_IN=$DATA/first-sign-in

stale() {
  [ ! -f "$APP/built" ] && return 0
  [ -n "$(find pom.xml {core,formats,server,web}/pom.xml {core,formats,server}/src/main web/src web/public web/index.html \
    web/package-lock.json web/vite.config.ts docs/openapi.json demo -newer "$APP/built" -print -quit)" ]
}

build() {
  echo "Building (the first time takes a few minutes) ..."
  rm -rf "$APP"
  maven_quietly -DskipTests -Dspotless.check.skip=true -pl core,formats,web,server package || die "The build failed; the lines above say why."
  "$JAVA_HOME/bin/java" -Djarmode=tools -jar server/target/vividroster-app.jar extract --destination "$APP" >/dev/null ||
    die "The application could not be unpacked into $APP; the disk may be full."
}

# The class cache is only good for the flags it was made with.
FLAGS=(-XX:+UseSerialGC -Xmx768m --enable-native-access=ALL-UNNAMED)

# One start for the class cache that makes the later ones quick. Works without it, only slower.
learn_to_start_fast() {
  echo "Preparing quick starts ..."
  VIVID_PORT=0 "$JAVA_HOME/bin/java" "${FLAGS[@]}" -XX:AOTCacheOutput="$APP/app.aot" -Dspring.context.exit=onRefresh \
    -jar "$APP/vividroster-app.jar" >/dev/null 2>&1
  touch "$APP/built"
}

APP_PID=
stop() {
  trap '' INT TERM HUP
  if [ -n "$APP_PID" ] && kill -TERM "$APP_PID" 2>/dev/null; then
    wait "$APP_PID" 2>/dev/null
  fi
  database_down
}
trap 'echo; echo "Stopping ..."; stop; exit 0' INT TERM HUP
trap stop EXIT

if stale; then
  build
fi
database_up
[ -f "$APP/built" ] || learn_to_start_fast

cache=()
[ -f "$APP/app.aot" ] && cache=(-XX:AOTCache="$APP/app.aot" -Xlog:aot=off -Xlog:cds=off)
VIVID_PORT=$PORT "$JAVA_HOME/bin/java" "${FLAGS[@]}" "${cache[@]}" \
  -jar "$APP/vividroster-app.jar" >"$LOG" 2>&1 9>&- &
APP_PID=$!
LATEST=$((SECONDS + 180)) looks=0

# Asked with a limit: an application whose database is stuck takes the question and never answers.
is_up() {
  port_taken "$PORT" && timeout 3 bash -c 'exec 3<>"/dev/tcp/127.0.0.1/$0" && printf "GET /actuator/health HTTP/1.0\r\n\r\n" >&3 && grep -q "\"UP\"" <&3' "$PORT" 2>/dev/null
}

until is_up; do
  if ! kill -0 "$APP_PID" 2>/dev/null; then
    APP_PID=
    if grep -q 'No space left on device' "$LOG" || { [ "${OWN_DATABASE:-}" = yes ] && pg_disk_full "$DATA/pg"; }; then
      die "The disk is full: the application could not start. Free some space and start again; nothing was changed."
    fi
    if grep -q 'already in use' "$LOG"; then
      die "Port $PORT was taken by another program just now; start again."
    fi
    if grep -qE 'password authentication failed|does not exist' "$LOG"; then
      die "The database $VIVID_DATABASE_URL does not let the application in: $(grep -oE -m1 'FATAL: .*' "$LOG") Check VIVID_DATABASE_USER and VIVID_DATABASE_PASSWORD."
    fi
    if grep -qE 'Connection to .* refused|UnknownHostException|The connection attempt failed' "$LOG"; then
      die "No PostgreSQL answers at $VIVID_DATABASE_URL; check VIVID_DATABASE_URL."
    fi
    die "The application stopped while starting; $LOG says why: $(grep -oE 'Caused by: .*' "$LOG" | tail -n 1 | cut -c1-300)"
  fi
  if [ "${OWN_DATABASE:-}" = yes ] && ! pg_running "$DATA/pg/cluster"; then
    die "PostgreSQL stopped while the application was starting. $(pg_why "$DATA/pg/cluster")"
  fi
  if [ "${OWN_DATABASE:-}" = yes ] && ((++looks % 25 == 0)) && pg_disk_full "$DATA/pg"; then
    die "The disk is full: the application cannot start. Free some space and start again; nothing that was recorded is lost."
  fi
  [ "$SECONDS" -lt "$LATEST" ] || die "The application did not answer within three minutes; $LOG says what it was doing."
  sleep 0.2
done

echo
if [ -s "$VIVID_FIRST_SIGN_IN" ]; then
  cat "$VIVID_FIRST_SIGN_IN"
  rm -f "$VIVID_FIRST_SIGN_IN"
fi
# The published passwords work on this machine alone.
if [ "${VIVID_DEMO:-yes}" != no ] && [[ "${VIVID_ADDRESS:-127.0.0.1}" =~ ^(127\.|::1$|localhost$) ]]; then
  demo=$(awk -F, 'NR>1 {printf "  %-8s password %-18s (%s)\n", $1, $4, tolower($3)}' demo/people.csv)
fi
echo "Vivid Roster is ready at http://127.0.0.1:$PORT"
[ -n "${demo:-}" ] && echo "Demo sign-in:" && echo "$demo"
[ -z "${demo:-}" ] && [ "${VIVID_DEMO:-yes}" != no ] &&
  echo "Others can reach this address, so the demo's published passwords are closed: ./vivid reset-password odalys gives one."
echo "Ctrl-C stops it."

# While it runs: a PostgreSQL that died is started again as it was, and every night has its copy.
LOOKS=0
while kill -0 "$APP_PID" 2>/dev/null; do
  sleep 2 &
  wait $!
  LOOKS=$((LOOKS + 1))
  if [ "${OWN_DATABASE:-}" = yes ] && ! pg_running "$DATA/pg/cluster" && kill -0 "$APP_PID" 2>/dev/null; then
    pg_again "$DATA/pg" && echo "PostgreSQL had stopped and was started again."
  fi
  if [ $((LOOKS % 300)) = 0 ]; then
    nightly_copy || echo "Tonight's copy of the database could not be made in $DATA/copies."
  fi
done
wait "$APP_PID"
code=$?
APP_PID=
die "The application stopped by itself (code $code); $LOG says why."
