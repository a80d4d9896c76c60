#!/usr/bin/env bash
# Tries the reverse proxy of docs/deployment.md for real: nginx from Debian with a certificate made on the spot, before an
# application that runs. No part of ./vivid test. Usage: scripts/proxy-check.sh [port of the application, 8080]
set -uo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
. scripts/tools.sh
APP=${1:-8080}
command -v nginx >/dev/null || install_packages "The reverse proxy is tried with nginx." nginx-light
command -v openssl >/dev/null || install_packages "The certificate is made with openssl." openssl
port_taken "$APP" || die "Nothing answers on port $APP; start the application first: VIVID_PORT=$APP ./vivid start"

DIR=$(mktemp -d /tmp/vivid-proxy.XXXXXX)
chmod 755 "$DIR"
FAILED=0
finish() {
  nginx -p "$DIR" -c "$DIR/nginx.conf" -s stop 2>/dev/null
  rm -rf "$DIR"
  exit $FAILED
}
trap finish EXIT
for HTTPS in $(seq 18443 18543); do port_taken "$HTTPS" || break; done
openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=roster.school.internal \
  -addext subjectAltName=DNS:roster.school.internal -keyout "$DIR/key.pem" -out "$DIR/cert.pem" 2>/dev/null

# The server block of the guide, at another port and with this certificate.
{
  echo "daemon on; pid $DIR/nginx.pid; error_log $DIR/error.log; events {} http {"
  echo "access_log off; client_body_temp_path $DIR/body; proxy_temp_path $DIR/proxy; fastcgi_temp_path $DIR/f; uwsgi_temp_path $DIR/u; scgi_temp_path $DIR/s;"
  sed -n '/^server {/,/^}/p' docs/deployment.md | sed '/^}/q' |
    sed -e "s|listen 443 ssl|listen 127.0.0.1:$HTTPS ssl|" -e "s|/etc/ssl/vivid-roster.crt|$DIR/cert.pem|" \
      -e "s|/etc/ssl/private/vivid-roster.key|$DIR/key.pem|" -e "s|127.0.0.1:8080|127.0.0.1:$APP|"
  echo "}"
} >"$DIR/nginx.conf"
nginx -p "$DIR" -c "$DIR/nginx.conf" || { FAILED=1; cat "$DIR/error.log"; exit 1; }

ask() { curl -s --cacert "$DIR/cert.pem" --resolve "roster.school.internal:$HTTPS:127.0.0.1" "$@"; }
URL=https://roster.school.internal:$HTTPS
check() {
  if [ "$2" = yes ]; then echo "ok      $1"; else echo "FAILED  $1"; FAILED=1; fi
}
has() { grep -qiE "$1" "$2" && echo yes || echo no; }

ask -D "$DIR/head" -o "$DIR/page" "$URL/"
check "the interface comes over HTTPS" "$(has '<div id="root"' "$DIR/page")"
check "HSTS is sent" "$(has '^strict-transport-security: max-age=' "$DIR/head")"
check "the referrer policy is sent" "$(has '^referrer-policy: same-origin' "$DIR/head")"
ask -D "$DIR/head" -o /dev/null -c "$DIR/cookies" "$URL/api/session"
check "cookies are marked secure" "$(has '^set-cookie: .*secure' "$DIR/head")"
TOKEN=$(awk '/XSRF-TOKEN/ {print $NF}' "$DIR/cookies")
CODE=$(ask -o "$DIR/answer" -w '%{http_code}' -b "$DIR/cookies" -c "$DIR/cookies" -H "X-XSRF-TOKEN: $TOKEN" \
  -H 'Content-Type: application/json' -d '{"signInName":"nobody","password":"nothing at all"}' "$URL/api/session")
check "a wrong sign-in is refused in a sentence" "$([ "$CODE" = 401 ] || [ "$CODE" = 429 ] && has '"detail"' "$DIR/answer")"
CODE=$(head -c 13000000 /dev/zero | ask -o /dev/null -w '%{http_code}' -X POST --data-binary @- -H 'Content-Type: text/plain' "$URL/api/session")
check "what is too large stops at the door ($CODE)" "$([ "$CODE" = 413 ] && echo yes || echo no)"
CODE=$(ask -o /dev/null -w '%{http_code}' "$URL/actuator/prometheus")
check "metrics do not go through the proxy ($CODE)" "$([ "$CODE" = 401 ] || [ "$CODE" = 403 ] && echo yes || echo no)"
CODE=$(ask -o /dev/null -w '%{http_code}' "$URL/podium")
check "a screen's address can be opened" "$([ "$CODE" = 200 ] && echo yes || echo no)"
