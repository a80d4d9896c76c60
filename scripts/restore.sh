# ./vivid restore FILE: a file of ./vivid backup into an empty folder or an empty database.

[ $# = 1 ] && [ -n "$1" ] || die "Name the file to read: ./vivid restore FILE"
FILE=$1
[ -r "$FILE" ] || die "$FILE cannot be read. Nothing was changed."
need_postgres
. scripts/copies.sh
"$PG_BIN/pg_restore" --list "$FILE" >/dev/null 2>&1 || die "$FILE is no copy made by ./vivid backup. Nothing was changed."

if [ -z "${VIVID_DATABASE_URL:-}" ]; then
  hold_data_folder
  trap database_down EXIT
fi
database_up
copy_from "$FILE" || exit 1
echo "Everything in $FILE is back. ./vivid start brings the tables up to date and starts."
