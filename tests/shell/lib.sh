# For the tests that use the commands in bin/ as somebody does who looks after an installation: homes and ports of their own, and how
# to wait for what is to come. Set before use: ROOT.

HOMES=$(mktemp -d /tmp/noble-turn-test.XXXXXX) && chmod 755 "$HOMES"
export NOBLE_TURN_PORT=${NOBLE_TURN_TEST_PORT_2:-8098} NOBLE_TURN_DB_PORT=${NOBLE_TURN_TEST_DB_PORT_2:-33398} NOBLE_TURN_HOME=$HOMES/one
HERE=http://127.0.0.1:$NOBLE_TURN_PORT
UP=$HERE/up

# also_clean is what a test has to end beside its installations.
also_clean() { :; }
clean() {
    local code=$? home
    trap - EXIT
    for home in "$HOMES"/{one,two}/; do NOBLE_TURN_HOME=${home%/} "$ROOT/bin/stop" >/dev/null 2>&1; done
    also_clean
    rm -rf "$HOMES"
    exit "$code"
}
trap clean EXIT
trap 'exit 130' INT TERM

wrong() { printf 'Wrong: %s\n' "$*"; tail -n 20 "$HOMES"/start.log 2>/dev/null; exit 1; }
is_up() { curl -fsS -o /dev/null "$UP" 2>/dev/null; }
await_up() { local i; for i in $(seq 1 600); do is_up && return 0; sleep 0.1; done; wrong "it did not come up after $1"; }
await_down() { local i; for i in $(seq 1 300); do is_up || return 0; sleep 0.1; done; wrong "it is still up after $1"; }
pid() { cat "$NOBLE_TURN_HOME/run/$1.pid"; }
start() {
    "$ROOT/bin/start" "$@" >"$HOMES/start.log" 2>&1 &
    local i
    for i in $(seq 1 900); do grep -q 'Ctrl-C stops it' "$HOMES/start.log" && break; sleep 0.1; done
    await_up "a start"
}

# A browser in a few words: ask METHOD PATH [JSON [curl's own words]...] prints the status; the answer is in $HOMES/answer.
SITE=$HERE
ask() {
    local method=$1 path=$2 body=${3:-} token
    shift $(($# > 3 ? 3 : $#))
    token=$(awk '$6 == "XSRF-TOKEN" { print $7 }' "$HOMES/cookies" 2>/dev/null | php -r 'echo urldecode(trim(stream_get_contents(STDIN)));' 2>/dev/null || true)
    curl -sk -X "$method" "$SITE/api/$path" -b "$HOMES/cookies" -c "$HOMES/cookies" -D "$HOMES/headers" -o "$HOMES/answer" -w '%{http_code}' \
        -H 'Accept: application/json' -H "X-XSRF-TOKEN: $token" ${body:+-H 'Content-Type: application/json' -d "$body"} "$@"
}
sign_in() {
    rm -f "$HOMES/cookies"
    ask GET session '' "$@" >/dev/null
    [ "$(ask POST session '{"email":"instructor@harbourschool.test","password":"demo-harbour"}' "$@")" = 200 ]
}
