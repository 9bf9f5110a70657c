#!/usr/bin/env bash
# The way to people's browsers as docs/deploy.md describes it: the nginx of docs/deploy with a self-signed certificate in front, HTTPS
# outside, loopback behind.
set -uo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd -P)
export PATH="$PATH:/usr/sbin"
. "$ROOT/tests/shell/lib.sh"
TLS_PORT=${NOBLE_TURN_TEST_TLS_PORT:-8444} HTTP_PORT=${NOBLE_TURN_TEST_HTTP_PORT:-8445}
FRONT=$HOMES/front
mkdir "$FRONT"
also_clean() { [ ! -s "$FRONT/pid" ] || kill "$(cat "$FRONT/pid")" 2>/dev/null; }

openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=drive.example -addext subjectAltName=DNS:drive.example -keyout "$FRONT/key.pem" -out "$FRONT/certificate.pem" >/dev/null 2>&1 || wrong "no certificate"
{
    printf 'pid %s/pid; error_log %s/err; events {} http { access_log off; client_body_temp_path %s/b; proxy_temp_path %s/p; fastcgi_temp_path %s/f; uwsgi_temp_path %s/u; scgi_temp_path %s/s;\n' "$FRONT" "$FRONT" "$FRONT" "$FRONT" "$FRONT" "$FRONT" "$FRONT"
    sed -e "s#/etc/noble-turn/tls#$FRONT#; s#listen 80;#listen 127.0.0.1:$HTTP_PORT;#; s#listen 443 ssl http2;#listen 127.0.0.1:$TLS_PORT ssl http2; listen 127.0.0.2:$TLS_PORT ssl http2;#; s#127.0.0.1:8080#127.0.0.1:$NOBLE_TURN_PORT#" "$ROOT/docs/deploy/nginx.conf"
    printf '}\n'
} >"$FRONT/nginx.conf"

export NOBLE_TURN_URL=https://drive.example NOBLE_TURN_PROXIES=127.0.0.1
start
nginx -p "$FRONT" -c "$FRONT/nginx.conf" 2>/dev/null || wrong "the example does not start: $(cat "$FRONT/err")"
THERE=(--resolve "drive.example:$TLS_PORT:127.0.0.1" --resolve "drive.example:$HTTP_PORT:127.0.0.1")
SITE=https://drive.example:$TLS_PORT

[ "$(curl -sk -o /dev/null -w '%{http_code} %{redirect_url}' "${THERE[@]}" "http://drive.example:$HTTP_PORT/today")" = "301 https://drive.example/today" ] || wrong "HTTP is not sent to HTTPS"
sign_in "${THERE[@]}" || wrong "no sign-in through the proxy: $(cat "$HOMES/answer")"
grep -qi '^strict-transport-security: max-age=31536000' "$HOMES/headers" || wrong "browsers are not told to come by HTTPS alone"
grep -i '^set-cookie' "$HOMES/headers" | grep -vqi 'secure' && wrong "a cookie may go without HTTPS: $(grep -i '^set-cookie' "$HOMES/headers")"
[ "$(ask GET learners '' "${THERE[@]}")" = 200 ] || wrong "no page through the proxy"
printf 'HTTPS outside, loopback behind: signed in, every cookie secure\n'

# Seven guesses of one who claims another address each time: the proxy says who it is.
for i in 1 2 3 4 5 6 7; do last=$(curl -sk -o /dev/null -w '%{http_code}' "${THERE[@]}" -b "$HOMES/none" -c "$HOMES/none" "$SITE/api/session" >/dev/null; ask POST session "{\"email\":\"owner@harbourschool.test\",\"password\":\"guess $i\"}" "${THERE[@]}" -H "X-Forwarded-For: 203.0.113.$i"); done
[ "$last" = 429 ] || wrong "guessing is not slowed through the proxy: $last"
# Who sits elsewhere is not locked out by them.
rm -f "$HOMES/cookies"
ask GET session '' "${THERE[@]}" --interface 127.0.0.2 >/dev/null
elsewhere=$(ask POST session '{"email":"owner@harbourschool.test","password":"demo-harbour"}' "${THERE[@]}" --interface 127.0.0.2)
[ "$elsewhere" = 200 ] || wrong "another address is locked out with them: $elsewhere"
# Past the proxy nobody is believed.
SITE=$HERE
ask GET session '' -H 'X-Forwarded-Proto: https' --interface 127.0.0.3 >/dev/null
printf 'guessing is slowed for who guesses, and for nobody else\n'
"$ROOT/bin/stop" >/dev/null
