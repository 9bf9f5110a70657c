#!/usr/bin/env bash
# What somebody tries who means no good: too much at once, files that are none of theirs, a log that fills the disk.
set -uo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd -P)
. "$ROOT/tests/shell/lib.sh"
export NOBLE_TURN_REQUESTS=20 NOBLE_TURN_MOST_LOGGED=20000
NOBLE_TURN_REQUESTS=many "$ROOT/bin/start" >"$HOMES/bad.log" 2>&1 && wrong "a setting that means nothing was taken"
grep -q 'NOBLE_TURN_REQUESTS is a whole number' "$HOMES/bad.log" || wrong "it was not said which setting is wrong"
start

# Every file and every error of the server's own says that it is what it says, and whose scripts may run.
headers() { curl -s -o /dev/null -D - "$HERE$1" | tr -d '\r' | tr 'A-Z' 'a-z'; }
for path in / /api/session /up /favicon.svg /build/manifest.json /build/nothing.js "/$(cd "$ROOT/public" && ls build/assets/*.js | head -1)" "/$(cd "$ROOT/public" && ls build/assets/*.css | head -1)" "/$(cd "$ROOT/public" && ls build/assets/*.woff2 | head -1)" /.env /%00; do
    said=$(headers "$path")
    [ "$(grep -c '^x-content-type-options: nosniff' <<<"$said")" = 1 ] || wrong "$path: no nosniff, or twice: $said"
    [ "$(grep -c '^content-security-policy: ' <<<"$said")" = 1 ] || wrong "$path: no policy, or two: $said"
    grep -q '^server: nginx$' <<<"$said" || wrong "$path tells the server's version"
    grep -q '^x-powered-by' <<<"$said" && wrong "$path tells PHP's version"
done
printf 'nosniff and a policy on every file, once\n'
for path in /.env /.git/config /../env /index.php/../../composer.json /vendor/autoload.php /build/../../composer.json /artisan /storage/logs/noble-turn.log; do
    curl -s --path-as-is "$HERE$path" | grep -qE 'APP_KEY|DB_PASSWORD|"require"|autoload_real|<\?php|ref: refs' && wrong "$path is given out"
done
printf 'nothing beside the interface is given out\n'

# Ten times what one address may ask for, at once: it is told to wait, and nothing is written about it.
seq 1 300 | xargs -P 20 -I{} curl -s -o /dev/null -w '%{http_code}\n' "$HERE/api/session" >"$HOMES/flood"
grep -q '^429$' "$HOMES/flood" || wrong "a flood was served whole: $(sort "$HOMES/flood" | uniq -c | tr '\n' ' ')"
grep -q '^200$' "$HOMES/flood" || wrong "nobody was served at all"
grep -vqE '^(200|429)$' "$HOMES/flood" && wrong "a flood was answered otherwise: $(sort "$HOMES/flood" | uniq -c | tr '\n' ' ')"
grep -q limiting "$NOBLE_TURN_HOME/log/nginx.err" && wrong "refused requests are logged"
sleep 3
[ "$(curl -s -o /dev/null -w '%{http_code}' "$HERE/api/session")" = 200 ] || wrong "it does not come back after a flood"
printf 'a flood is told to wait (%s), and is not logged\n' "$(sort "$HOMES/flood" | uniq -c | tr -s ' \n' ' ')"

# A log is cut where it stands, and its end kept.
for i in $(seq 1 4000); do echo "line $i of somebody who writes too much"; done >>"$NOBLE_TURN_HOME/log/nginx.err"
for _ in $(seq 1 120); do [ "$(stat -c %s "$NOBLE_TURN_HOME/log/nginx.err")" -lt 20000 ] && break; sleep 0.1; done
[ "$(stat -c %s "$NOBLE_TURN_HOME/log/nginx.err")" -lt 20000 ] || wrong "a log grows without end"
tail -n 1 "$NOBLE_TURN_HOME/log/nginx.err.before" | grep -q 'line 4000' || wrong "the end of a log was lost"
[ "$(stat -c %a "$NOBLE_TURN_HOME/log/nginx.err.before")" = 600 ] || wrong "what was put aside can be read by others"
printf 'logs are bounded\n'

# Somebody forgot the password, and nobody can read the outbox on screen: it is printed on the machine.
ask GET session >/dev/null
[ "$(ask POST forgotten-password '{"email":"owner@harbourschool.test"}')" = 202 ] || wrong "no letter was asked for: $(cat "$HOMES/answer")"
"$ROOT/bin/letters" >"$HOMES/letters" 2>&1 || wrong "bin/letters: $(tail -n 3 "$HOMES/letters")"
link=$(grep -o 'token=[0-9a-f]*' "$HOMES/letters") || wrong "no way in is printed: $(cat "$HOMES/letters")"
[ "$(ask POST way-in "{\"email\":\"owner@harbourschool.test\",\"token\":\"${link#token=}\",\"password\":\"another good one\"}")" = 200 ] || wrong "the way in does not open: $(cat "$HOMES/answer")"
printf 'an owner who forgot the password gets in by bin/letters\n'
"$ROOT/bin/stop" >/dev/null
