# A folder for PostgreSQL clusters of the tests' own, taken down and removed when the command ends. Sourced, not run.

VIVID_TEST_DIR=$(mktemp -d /tmp/vivid-test.XXXXXX)
export VIVID_TEST_DIR
chmod 755 "$VIVID_TEST_DIR"
unset VIVID_DATABASE_URL VIVID_DATABASE_USER VIVID_DATABASE_PASSWORD VIVID_DATABASE_OWNER_USER VIVID_DATABASE_OWNER_PASSWORD VIVID_PORT VIVID_DATA VIVID_DEMO

throw_away() {
  for dir in "$VIVID_TEST_DIR"/*/; do [ -d "$dir/cluster" ] && pg_down "${dir%/}"; done
  rm -rf "$VIVID_TEST_DIR"
}
trap throw_away EXIT
trap 'exit 130' INT TERM
