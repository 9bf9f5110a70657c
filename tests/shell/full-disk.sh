#!/usr/bin/env bash
# A disk that fills up under a running application: what was acknowledged stays, what cannot be kept is said, and it goes on by itself
# when there is room again. On a small disk in memory; where none can be mounted it says so and tests nothing.
set -uo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd -P)
. "$ROOT/tests/shell/lib.sh"
DISK=$HOMES/disk
also_clean() { umount "$DISK" 2>/dev/null; }
mkdir "$DISK"
mount -t tmpfs -o size=420m,mode=755 tmpfs "$DISK" 2>/dev/null || { printf 'no disk in memory can be mounted here: not tested\n'; exit 0; }
export NOBLE_TURN_HOME=$DISK/home
clean_home() { NOBLE_TURN_HOME=$DISK/home "$ROOT/bin/stop" >/dev/null 2>&1; }
also_clean() { clean_home; umount "$DISK" 2>/dev/null; }
start
sign_in || wrong "no sign-in: $(cat "$HOMES/answer")"
# Marks go to the lesson that comes next, ids made here as a device makes them.
id() { cat /proc/sys/kernel/random/uuid; }
ask GET today >/dev/null
LESSON=$(php -r 'echo json_decode(file_get_contents($argv[1]), true)["next"]["id"];' "$HOMES/answer")
ask GET places >/dev/null
read -r PLACE ROUTINE < <(php -r '$p = json_decode(file_get_contents($argv[1]), true)[0]; echo $p["id"], " ", $p["routine"], "\n";' "$HOMES/answer")
NOW=$(date -u +%FT%T.000Z)
ROUND=$(id)
[ "$(ask POST sync "{\"rounds\":[{\"id\":\"$ROUND\",\"lesson_id\":\"$LESSON\",\"place_id\":\"$PLACE\",\"routine\":\"$ROUTINE\",\"device_at\":\"$NOW\"}],\"marks\":[]}")" = 200 ] || wrong "no round: $(cat "$HOMES/answer")"
# batch COUNT: so many marks of long notes; their ids are kept in $HOMES/batch.
batch() {
    : >"$HOMES/batch"
    local i note marks=""
    note=$(printf 'n%.0s' $(seq 1 290))
    for i in $(seq 1 "$1"); do
        local mark; mark=$(id); echo "$mark" >>"$HOMES/batch"
        marks+="${marks:+,}{\"id\":\"$mark\",\"round_id\":\"$ROUND\",\"kind\":\"moment\",\"note\":\"$note\",\"device_at\":\"$NOW\"}"
    done
    printf '{"rounds":[],"marks":[%s]}' "$marks"
}
stored() { (cd "$ROOT" && NOBLE_TURN_HOME=$DISK/home "$ROOT/bin/backup" "$HOMES/kept.jsonl.gz" >/dev/null 2>&1); gzip -dc "$HOMES/kept.jsonl.gz" | grep -cFf "$HOMES/acknowledged"; }

: >"$HOMES/acknowledged"
for _ in 1 2 3; do
    batch 100 >"$HOMES/marks.json"
    [ "$(ask POST sync "@$HOMES/marks.json")" = 200 ] || wrong "no marks before the disk is full: $(cat "$HOMES/answer")"
    cat "$HOMES/batch" >>"$HOMES/acknowledged"
done
dd if=/dev/zero of="$DISK/filler" bs=1M count=500 >/dev/null 2>&1
[ "$(df -Pk "$DISK" | awk 'NR == 2 { print $4 }')" -lt 100 ] || wrong "the disk is not full"
answers=""
for _ in $(seq 1 60); do
    batch 100 >"$HOMES/marks.json"
    status=$(ask POST sync "@$HOMES/marks.json")
    answers+=" $status"
    [ "$status" = 200 ] && cat "$HOMES/batch" >>"$HOMES/acknowledged"
    [ "$status" = 507 ] && break
    case $status in 200 | 503 | 507) ;; *) wrong "a full disk was answered with $status: $(head -c 300 "$HOMES/answer")" ;; esac
done
[ "$status" = 507 ] || wrong "it was never said that the disk is full:$answers"
grep -q 'disk is full' "$HOMES/answer" || wrong "it was not said why: $(cat "$HOMES/answer")"
[ "$(curl -s "$UP" | grep -o '"disk":[a-z]*')" = '"disk":false' ] || wrong "/up does not tell: $(curl -s "$UP")"
printf 'a full disk is said (after %s batches)\n' "$(wc -w <<<"$answers")"

rm "$DISK/filler"
for _ in $(seq 1 60); do
    status=$(ask POST sync "@$HOMES/marks.json")
    [ "$status" = 200 ] && break
    sleep 1
done
[ "$status" = 200 ] || wrong "it did not go on by itself: $status $(cat "$HOMES/answer")"
cat "$HOMES/batch" >>"$HOMES/acknowledged"
[ "$(stored)" = "$(wc -l <"$HOMES/acknowledged")" ] || wrong "acknowledged $(wc -l <"$HOMES/acknowledged"), stored $(stored)"
printf 'with room again it went on by itself; acknowledged %s marks, stored all of them\n' "$(wc -l <"$HOMES/acknowledged")"
