# ./vivid reset-password NAME and ./vivid open-programme NAME: done by the application itself, beside a running server or
# with none, and said in a sentence.

[ $# = 1 ] && [ -n "${1// /}" ] || die "Give one name: ./vivid $command NAME"
need_jdk
APP=server/target/app
[ -f "$APP/vividroster-app.jar" ] || die "Vivid Roster is not built yet; ./vivid start builds it. Nothing was changed."

if [ -z "${VIVID_DATABASE_URL:-}" ]; then
  need_postgres
  . scripts/copies.sh
  DATA=$(cd "${VIVID_DATA:-.data}" 2>/dev/null && pwd) && [ -s "$DATA/pg/cluster/PG_VERSION" ] ||
    die "There is no database in ${VIVID_DATA:-.data}; ./vivid start makes one. Nothing was changed."
  if pg_running "$DATA/pg/cluster"; then
    pg_of_running "$DATA/pg"
    export VIVID_DATABASE_USER=vividroster_app VIVID_DATABASE_PASSWORD=$(cat "$DATA/pg/app-password")
  else
    hold_data_folder
    trap database_down EXIT
    database_up
  fi
fi

LOG=$(mktemp)
VIVID_PORT=0 VIVID_ADDRESS=127.0.0.1 VIVID_DEMO=no VIVID_LOG_FILE= "$JAVA_HOME/bin/java" -XX:+UseSerialGC -XX:TieredStopAtLevel=1 \
  -Xmx512m --enable-native-access=ALL-UNNAMED -jar "$APP/vividroster-app.jar" \
  "--vivid.task=$command" "--vivid.task-name=$1" >"$LOG" 2>&1
said=$(sed -n 's/^vivid: //p' "$LOG")
if [ -z "$said" ]; then
  cat "$LOG" >&2
  rm -f "$LOG"
  die "It could not be done; the lines above say why. Nothing was changed."
fi
rm -f "$LOG"
echo "$said"
