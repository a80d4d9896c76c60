# Copies of the database: written by the owner, read back into an empty one. Sourced, not run.

# Sets the owner's access to a cluster of ours that runs already.
pg_of_running() {
  PG_PORT=$(sed -n 4p "$1/cluster/postmaster.pid")
  PG_USER=vividroster
  PG_PASSWORD=$(cat "$1/password")
  export VIVID_DATABASE_URL=jdbc:postgresql://127.0.0.1:$PG_PORT/vividroster
  export VIVID_DATABASE_OWNER_USER=$PG_USER VIVID_DATABASE_OWNER_PASSWORD=$PG_PASSWORD
}

# The same database as PostgreSQL's own programs name it.
copy_uri() { sed 's/^jdbc://' <<<"$VIVID_DATABASE_URL"; }

as_owner() {
  PGUSER=${VIVID_DATABASE_OWNER_USER:-${VIVID_DATABASE_USER:-}} \
    PGPASSWORD=${VIVID_DATABASE_OWNER_PASSWORD:-${VIVID_DATABASE_PASSWORD:-}} "$@"
}

# Whole or not at all: the name stands only behind a copy that is complete.
copy_to() {
  local part=$1.part
  (umask 077 && as_owner "$PG_BIN/pg_dump" -d "$(copy_uri)" --format=custom --compress=6 --no-owner --no-privileges --file="$part") &&
    mv "$part" "$1" && return 0
  rm -f "$part"
  return 1
}

copy_from() {
  local tables
  tables=$(as_owner "$PG_BIN/psql" -d "$(copy_uri)" -qAtc \
    "select count(*) from information_schema.tables where table_schema = 'public'") || {
    echo "The database does not answer. Nothing was changed." >&2
    return 1
  }
  [ "$tables" = 0 ] || {
    echo "There is data already; a copy is put into an empty folder: choose one with VIVID_DATA. Nothing was changed." >&2
    return 1
  }
  as_owner "$PG_BIN/pg_restore" -d "$(copy_uri)" --no-owner --no-privileges --exit-on-error --single-transaction "$1" || {
    echo "$1 could not be put back; the lines above say why. Nothing was changed." >&2
    return 1
  }
}

# One copy a night, the latest VIVID_COPIES kept (14; 0 makes none).
nightly_copy() {
  local keep=${VIVID_COPIES:-14} folder=$DATA/copies today
  [ "$keep" -gt 0 ] 2>/dev/null && [ "$(date +%-H)" -ge 2 ] || return 0
  today=$folder/vividroster-$(date +%F).dump
  [ -e "$today" ] && return 0
  (umask 077 && mkdir -p "$folder") && copy_to "$today" || return 1
  ls -1 "$folder"/vividroster-*.dump | sort -r | tail -n +$((keep + 1)) | while read -r old; do rm -f "$old"; done
}
