#!/usr/bin/env bash
# The commands in bin/ as somebody uses them who looks after an installation: servers that die, a start that is killed, a back-up while
# it serves, a stop, and the drill of bringing it all back somewhere else. In homes and on ports of its own.
set -uo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd -P)
. "$ROOT/tests/shell/lib.sh"

# What lies beside a home or in a folder that is none is somebody else's.
mkdir -m 755 "$HOMES/data" "$HOMES/other" && echo theirs | tee "$HOMES/data/file" "$HOMES/other/file" >/dev/null && chmod 644 "$HOMES"/{data,other}/file
NOBLE_TURN_HOME=$HOMES/other "$ROOT/bin/start" >"$HOMES/foreign.log" 2>&1 && wrong "a folder of other things was taken for a home"
[ "$(stat -c '%a %U' "$HOMES/other" "$HOMES/other/file" | tr '\n' ' ')" = "755 $(id -un) 644 $(id -un) " ] || wrong "a folder of other things was touched"

start
[ "$(cat "$HOMES/data/file")" = theirs ] || wrong "what lay beside the home is gone"
printf 'what is not ours is left alone\n'
for server in database fpm nginx worker; do
    before=$(pid "$server")
    kill -KILL "$before"
    for _ in $(seq 1 200); do [ "$(pid "$server")" != "$before" ] && break; sleep 0.1; done
    [ "$(pid "$server")" != "$before" ] || wrong "$server did not come back"
    await_up "$server was killed"
done
grep -q 'had stopped by itself' "$HOMES/start.log" || wrong "nothing was said of what died"
printf 'servers that were killed came back\n'

"$ROOT/bin/start" >"$HOMES/second.log" 2>&1 && wrong "a second start of the same home went on"
grep -q 'running in .* already' "$HOMES/second.log" || wrong "the second start did not say why: $(tail -n 2 "$HOMES/second.log")"
is_up || wrong "the second start ended the first"

orphan=$(pid database)
disown -a
kill -KILL "$(pid start)"
sleep 1
kill -0 "$orphan" 2>/dev/null || wrong "the test is no test: the database ended with its start"
start
[ "$(pid database)" != "$orphan" ] && ! kill -0 "$orphan" 2>/dev/null || wrong "what a killed start left is still there"
printf 'a start took over what a killed one had left\n'

"$ROOT/bin/backup" "$HOMES/school.jsonl.gz" >"$HOMES/backup.log" 2>&1 || wrong "no back-up while it serves: $(tail -n 3 "$HOMES/backup.log")"
[ "$(stat -c %a "$HOMES/school.jsonl.gz")" = 600 ] || wrong "the back-up can be read by others"
"$ROOT/bin/restore" --replace "$HOMES/school.jsonl.gz" >/dev/null 2>&1 && wrong "a restore went on under a running application"
"$ROOT/bin/stop" >/dev/null || wrong "bin/stop failed"
await_down "bin/stop"
for server in database fpm nginx worker start; do [ ! -e "$NOBLE_TURN_HOME/run/$server.pid" ] || wrong "$server.pid is left"; done
printf 'backed up while serving, and stopped\n'

export NOBLE_TURN_HOME=$HOMES/two
"$ROOT/bin/restore" "$HOMES/school.jsonl.gz" >"$HOMES/restore.log" 2>&1 || wrong "no restore: $(tail -n 3 "$HOMES/restore.log")"
"$ROOT/bin/start" --empty >"$HOMES/empty.log" 2>&1 && wrong "the demo was started as a school of its own"
grep -q 'holds the demo' "$HOMES/empty.log" || wrong "it did not say why: $(tail -n 2 "$HOMES/empty.log")"
"$ROOT/bin/backup" "$HOMES/again.jsonl.gz" >/dev/null 2>&1 || wrong "no back-up of what was restored"
diff <(gzip -dc "$HOMES/school.jsonl.gz" | tail -n +2) <(gzip -dc "$HOMES/again.jsonl.gz" | tail -n +2) >/dev/null || wrong "what came back is not what was there"
printf 'what came back is what was there\n'
