# PostgreSQL of our own: a cluster in a folder, on loopback only, no socket files. Sourced, not run.
# pg_find sets PG_BIN; pg_up DIR [throwaway] sets PG_PORT, PG_URL, the owner's PG_USER and PG_PASSWORD, and the
# application's PG_APP_USER and PG_APP_PASSWORD; pg_again DIR starts it again as it was; pg_down DIR stops it.
#
# The owner makes and changes tables, writes and reads copies. The application's role adds and reads rows; it may neither
# change nor delete attempts, and switches nothing off.

pg_find() {
  PG_BIN=
  local dir
  for dir in /usr/lib/postgresql/*/bin; do
    [ -x "$dir/initdb" ] && PG_BIN=$dir
  done
  [ -n "$PG_BIN" ]
}

# PostgreSQL refuses to run as root; then it runs as the system's postgres user.
if [ "$(id -u)" = 0 ]; then
  pg_as() { (cd / && exec setpriv --reuid=postgres --regid=postgres --init-groups --reset-env "$@"); }
  pg_own() { install -d -m 700 -o postgres -g postgres "$1"; }
else
  pg_as() { (cd / && exec "$@"); }
  pg_own() { install -d -m 700 "$1"; }
fi

pg_free_port() {
  local port
  for port in $(shuf -i 20000-29999 -n 40); do
    if ! (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; then
      echo "$port"
      return 0
    fi
  done
  return 1
}

# Whether a lock file names a living process that is no PostgreSQL of this cluster: nothing may be stopped then.
pg_stale_lock() {
  local pid
  pid=$(head -n 1 "$1/postmaster.pid" 2>/dev/null) || return 1
  [ -n "$pid" ] && [ -d "/proc/$pid" ] || return 1
  [ "$(cat "/proc/$pid/comm" 2>/dev/null)" != postgres ] || [ "$(readlink "/proc/$pid/cwd")" != "$1" ]
}

pg_running() { pg_as "$PG_BIN/pg_ctl" -D "$1" status >/dev/null 2>&1; }

# Whether a folder takes no more: asked by writing, since what failed may have had no room left for its log.
pg_disk_full() {
  local probe=$1/probe.$$ full=1
  pg_as dd if=/dev/zero of="$probe" bs=64k count=16 2>/dev/null || full=0
  rm -f "$probe"
  return $full
}

# Why it did not start, in a sentence.
pg_why() {
  local log=$1/server.log
  if { [ -f "$log" ] && tail -n 20 "$log" | grep -q 'No space left on device'; } || pg_disk_full "$1"; then
    echo "The disk is full: PostgreSQL cannot write to $1. Free some space and start again; nothing was changed."
  elif [ -f "$log" ] && tail -n 20 "$log" | grep -q 'lock file "postmaster.pid" already exists'; then
    echo "Another PostgreSQL holds $1 (its lock file is $1/postmaster.pid). Stop it, or remove that file if no PostgreSQL runs there."
  else
    echo "PostgreSQL did not start from $1; its log $log says why."
  fi
}

pg_up() {
  local dir=$1 kind=${2:-kept} fast='' parent said
  pg_own "$dir" 2>/dev/null || { echo "The folder $dir cannot be made; choose another with VIVID_DATA."; return 1; }
  parent=$dir
  while [ "$(id -u)" = 0 ] && [ "$parent" != / ]; do
    parent=$(dirname "$parent")
    pg_as test -x "$parent" || {
      echo "PostgreSQL's user may not enter $parent; choose a data folder elsewhere with VIVID_DATA, or allow it with chmod o+x."
      return 1
    }
  done
  PG_USER=vividroster
  if [ ! -s "$dir/cluster/PG_VERSION" ]; then
    [ -e "$dir/cluster" ] && find "$dir/cluster" -mindepth 1 -maxdepth 1 | grep -q . && {
      echo "$dir/cluster is half made (an earlier first start was cut off). Move it away and start again; nothing in it was ever used."
      return 1
    }
    PG_PASSWORD=$(head -c 24 /dev/urandom | base64 | tr -dc 'A-Za-z0-9')
    (umask 077 && printf '%s' "$PG_PASSWORD" | pg_as tee "$dir/password" >/dev/null) 2>/dev/null || {
      echo "Nothing can be written to $dir; the disk may be full or read-only. Nothing was changed."
      return 1
    }
    pg_as chmod 600 "$dir/password"
    rm -rf "$dir/making"
    said=$(pg_as "$PG_BIN/initdb" -D "$dir/making" -U "$PG_USER" -A scram-sha-256 --pwfile="$dir/password" -E UTF8 \
      --locale=C.UTF-8 --data-checksums --no-instructions $([ "$kind" = throwaway ] && echo --no-sync) 2>&1) || {
      rm -rf "$dir/making"
      case $said in
        *'No space left'* | *'could not write'* | *'Bus error'* | *'free disk space'*) echo "The disk is full: the database cannot be made in $dir. Free some space and start again." ;;
        *) echo "The database cannot be made in $dir: $(tail -n 1 <<<"$said")" ;;
      esac
      return 1
    }
    mv "$dir/making" "$dir/cluster"
  fi
  PG_PASSWORD=$(cat "$dir/password")
  PG_APP_USER=vividroster_app
  if [ ! -s "$dir/app-password" ]; then
    (umask 077 && head -c 24 /dev/urandom | base64 | tr -dc 'A-Za-z0-9' | pg_as tee "$dir/app-password" >/dev/null) 2>/dev/null || {
      echo "Nothing can be written to $dir; the disk may be full or read-only. Nothing was changed."
      return 1
    }
    pg_as chmod 600 "$dir/app-password"
  fi
  PG_APP_PASSWORD=$(cat "$dir/app-password")
  [ "$kind" = throwaway ] && fast='-c fsync=off -c synchronous_commit=off -c full_page_writes=off -c wal_level=minimal -c max_wal_senders=0'
  if pg_stale_lock "$dir/cluster"; then
    echo "$dir/cluster/postmaster.pid is a lock file left behind: it names process $(head -n 1 "$dir/cluster/postmaster.pid"), which is no PostgreSQL of this folder. Remove that file and start again; nothing was changed."
    return 1
  fi
  # Left running by a start that was killed: take it down properly first.
  pg_running "$dir/cluster" && pg_as "$PG_BIN/pg_ctl" -D "$dir/cluster" -m fast -w -t 30 stop >/dev/null 2>&1
  PG_PORT=$(pg_free_port) || { echo "No free port was found for PostgreSQL on 127.0.0.1."; return 1; }
  PG_OPTIONS="-c listen_addresses=127.0.0.1 -c port=$PG_PORT -c unix_socket_directories='' -c max_connections=60 $fast"
  pg_checksums_on "$dir" || return 1
  pg_again "$dir" || { pg_why "$dir/cluster"; return 1; }
  if ! PGPASSWORD=$PG_PASSWORD "$PG_BIN/psql" -h 127.0.0.1 -p "$PG_PORT" -U "$PG_USER" -d vividroster -qAtc 'select 1' >/dev/null 2>&1; then
    PGPASSWORD=$PG_PASSWORD "$PG_BIN/createdb" -h 127.0.0.1 -p "$PG_PORT" -U "$PG_USER" vividroster || {
      echo "The database could not be created."
      return 1
    }
  fi
  pg_app_role || { echo "The application's role could not be made in the database."; return 1; }
  PG_URL="jdbc:postgresql://127.0.0.1:$PG_PORT/vividroster"
}

# Starts it with the port and settings that pg_up chose.
pg_again() {
  pg_as "$PG_BIN/pg_ctl" -D "$1/cluster" -l "$1/cluster/server.log" -w -t 60 -o "$PG_OPTIONS" start >/dev/null 2>&1
}

# Pages carry checksums, so that a disk that lies is noticed: at once in new clusters, in older ones before a start.
pg_checksums_on() {
  local state
  state=$(pg_as "$PG_BIN/pg_controldata" -D "$1/cluster" 2>/dev/null) || return 0
  grep -q '^Data page checksum version: *0$' <<<"$state" || return 0
  if ! grep -q '^Database cluster state: *shut down$' <<<"$state"; then
    pg_again "$1" && pg_down "$1"
  fi
  pg_as "$PG_BIN/pg_checksums" --enable -D "$1/cluster" >/dev/null 2>&1 || {
    echo "Checksums could not be switched on in $1/cluster. Nothing was changed; its log says why."
    return 1
  }
}

# The role the application signs in with; what it may do to which table is granted with the migrations.
pg_app_role() {
  PGPASSWORD=$PG_PASSWORD "$PG_BIN/psql" -h 127.0.0.1 -p "$PG_PORT" -U "$PG_USER" -d postgres -qAt -v ON_ERROR_STOP=1 >/dev/null 2>&1 <<SQL
do \$\$ begin
  if not exists (select 1 from pg_roles where rolname = '$PG_APP_USER') then create role $PG_APP_USER login; end if;
end \$\$;
alter role $PG_APP_USER with login nosuperuser nocreatedb nocreaterole noreplication nobypassrls password '$PG_APP_PASSWORD';
SQL
}

pg_down() {
  [ -d "$1/cluster" ] && pg_running "$1/cluster" && pg_as "$PG_BIN/pg_ctl" -D "$1/cluster" -m fast -w -t 30 stop >/dev/null 2>&1
  return 0
}
