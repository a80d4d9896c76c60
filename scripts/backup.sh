# ./vivid backup FILE: the whole database in one file (PostgreSQL's custom format), from the running or the stopped server.

[ $# = 1 ] && [ -n "$1" ] || die "Name the file to write: ./vivid backup FILE"
FILE=$1
[ -e "$FILE" ] && die "$FILE is there already; name another file. Nothing was changed."
need_postgres
. scripts/copies.sh

if [ -z "${VIVID_DATABASE_URL:-}" ]; then
  DATA=$(cd "${VIVID_DATA:-.data}" 2>/dev/null && pwd) && [ -s "$DATA/pg/cluster/PG_VERSION" ] ||
    die "There is no database in ${VIVID_DATA:-.data}; nothing was written."
  if pg_running "$DATA/pg/cluster"; then
    pg_of_running "$DATA/pg"
  else
    hold_data_folder
    trap database_down EXIT
    database_up
  fi
fi
copy_to "$FILE" || die "The copy could not be made, and $FILE was not written."
echo "The whole database is in $FILE ($(du -h "$FILE" | cut -f1))."
