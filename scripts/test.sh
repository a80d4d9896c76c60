# ./vivid test [words for Maven ...]: everything, with PostgreSQL clusters that are thrown away afterwards.

need_jdk
need_node
need_maven
need_postgres
need_chromium
. scripts/throwaway.sh

mvn -B -ntp "$@" verify
