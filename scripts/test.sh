# ./vivid test [core | formats | server | web | e2e] [words for Maven ...]: everything or one part, with PostgreSQL clusters
# that are thrown away afterwards.

part=() modules=
case "${1:-}" in
  core | formats) modules=core,formats ;;
  server | web) modules=core,formats,web,server ;;
  e2e) modules=core,formats,web,server,e2e ;;
esac
if [ -n "$modules" ]; then
  part=(-pl "$modules")
  for other in core formats server web e2e; do
    [ "$other" = "$1" ] || part+=("-Dskip.$other.tests=true")
  done
  shift
fi
need_jdk
need_node
need_maven
need_postgres
need_chromium
. scripts/throwaway.sh

# Modules that do not need one another are built and tested side by side.
mvn -B -ntp -T 2 "${part[@]}" "$@" verify
