# Finding and installing what the commands need. Sourced, not run.

die() {
  echo "$*" >&2
  exit 1
}

# Installs Debian packages where that may be done without asking; else says in one line what to install.
install_packages() {
  local why=$1 apt='apt-get -o DPkg::Lock::Timeout=300'
  shift
  command -v apt-get >/dev/null || die "$why Install: $*"
  if [ "$(id -u)" != 0 ]; then
    sudo -n true 2>/dev/null || die "$why Install it with: sudo apt-get install $*"
    apt="sudo -n $apt"
  fi
  echo "Installing $* ..."
  $apt -qq update >/dev/null 2>&1
  DEBIAN_FRONTEND=noninteractive $apt -qq -y install "$@" >/dev/null 2>&1 ||
    die "$why It could not be installed with apt-get; install: $*"
}

is_jdk_25() {
  [ -x "$1/bin/javac" ] && [ -f "$1/release" ] &&
    [ "$(sed -n 's/^JAVA_VERSION="\([0-9]*\).*/\1/p' "$1/release")" -ge 25 ] 2>/dev/null
}

need_jdk() {
  local home
  JAVA_HOME_FOUND=
  [ -z "${VIVID_JAVA_HOME:-}" ] || is_jdk_25 "$VIVID_JAVA_HOME" ||
    die "VIVID_JAVA_HOME names $VIVID_JAVA_HOME, which is no JDK 25 or newer."
  for home in "${VIVID_JAVA_HOME:-}" "${JAVA_HOME:-}" /usr/lib/jvm/* /usr/local/lib/jvm/* "$HOME"/.sdkman/candidates/java/* /Library/Java/JavaVirtualMachines/*/Contents/Home; do
    if [ -n "$home" ] && is_jdk_25 "$home"; then
      JAVA_HOME_FOUND=$home
      break
    fi
  done
  [ -n "$JAVA_HOME_FOUND" ] ||
    die "Vivid Roster needs a JDK 25 or newer and found none; install one and name its folder in VIVID_JAVA_HOME."
  export JAVA_HOME=$JAVA_HOME_FOUND
  export MAVEN_OPTS="--sun-misc-unsafe-memory-access=allow --enable-native-access=ALL-UNNAMED"
}

need_node() {
  local major
  major=$(node --version 2>/dev/null | sed -n 's/^v\([0-9]*\).*/\1/p')
  [ -n "$major" ] && [ "$major" -ge 20 ] && command -v npm >/dev/null ||
    die "Vivid Roster needs Node.js 20 or newer with npm and found ${major:+version }${major:-none}; install it first."
}

need_maven() { command -v mvn >/dev/null || install_packages "Vivid Roster is built with Maven." maven; }

need_postgres() { pg_find || { install_packages "Vivid Roster keeps its data in PostgreSQL." postgresql && pg_find; } || die "PostgreSQL is installed but its programs are not under /usr/lib/postgresql."; }

need_chromium() { [ -x /usr/bin/chromium ] || install_packages "The tests of the interface need Chromium." chromium; }

# Keeps Maven's own words for when something fails.
maven_quietly() {
  local log
  log=$(mktemp)
  if ! mvn -q -B -ntp "$@" >"$log" 2>&1; then
    cat "$log" >&2
    rm -f "$log"
    return 1
  fi
  rm -f "$log"
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

# Sets PORT: the one asked for or a refusal; else 8080 or the next free one.
choose_port() {
  if [ -n "${VIVID_PORT:-}" ]; then
    [[ "$VIVID_PORT" =~ ^[0-9]+$ ]] && [ "$VIVID_PORT" -ge 1 ] && [ "$VIVID_PORT" -le 65535 ] ||
      die "VIVID_PORT must be a number from 1 to 65535, was \"$VIVID_PORT\"."
    port_taken "$VIVID_PORT" && die "Port $VIVID_PORT is in use by another program; choose another with VIVID_PORT."
    PORT=$VIVID_PORT
    return
  fi
  for PORT in $(seq 8080 8179); do
    if ! port_taken "$PORT"; then
      [ "$PORT" = 8080 ] || echo "Port 8080 is in use; taking $PORT."
      return
    fi
  done
  die "Ports 8080 to 8179 are all in use; choose a free one with VIVID_PORT."
}

# Makes the data folder and holds it for this process alone; the kernel lets go when the process ends, however it ends.
hold_data_folder() {
  DATA=${VIVID_DATA:-.data}
  mkdir -p "$DATA" 2>/dev/null && [ -w "$DATA" ] ||
    die "The data folder $DATA cannot be written to; free it or choose another with VIVID_DATA. Nothing was changed."
  DATA=$(cd "$DATA" && pwd)
  { exec 9>"$DATA/lock"; } 2>/dev/null || die "Nothing can be written to $DATA; the disk may be full or read-only. Nothing was changed."
  flock -n 9 || die "Vivid Roster is already running from $DATA; stop it first or choose another folder with VIVID_DATA."
}

# Starts our own PostgreSQL, unless an existing one is named; sets the application's database settings.
database_up() {
  if [ -n "${VIVID_DATABASE_URL:-}" ]; then
    export VIVID_DEMO=${VIVID_DEMO:-no}
    [ -n "${VIVID_DATABASE_OWNER_USER:-}" ] ||
      echo "One role of the database owns the tables and uses them: nothing in the database then keeps recorded attempts from being changed. docs/deployment.md says how to give it two."
    return
  fi
  local words
  words=$(mktemp)
  pg_up "$DATA/pg" >"$words" 2>/dev/null || { words=$(cat "$words"; rm -f "$words"); die "${words:-PostgreSQL did not start from $DATA/pg.}"; }
  rm -f "$words"
  export VIVID_DATABASE_URL=$PG_URL VIVID_DATABASE_USER=$PG_APP_USER VIVID_DATABASE_PASSWORD=$PG_APP_PASSWORD
  export VIVID_DATABASE_OWNER_USER=$PG_USER VIVID_DATABASE_OWNER_PASSWORD=$PG_PASSWORD
  OWN_DATABASE=yes
}

database_down() { [ "${OWN_DATABASE:-}" = yes ] && pg_down "$DATA/pg"; return 0; }

# Builds everything a module needs; sets CLASSPATH_OF to its dependencies.
build_with_classpath() {
  maven_quietly -DskipTests -Dspotless.check.skip=true -pl core,formats,web,server,"$1" package \
    org.apache.maven.plugins:maven-dependency-plugin:build-classpath -Dmdep.outputFile="$ROOT/$1/target/classpath" ||
    die "The build failed; the lines above say why."
  CLASSPATH_OF=$(cat "$ROOT/$1/target/classpath")
}
