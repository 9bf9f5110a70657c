# Shared by the commands in bin/: where things are, and how to speak to the user.

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd -P)
export PATH="$PATH:/usr/sbin:/sbin"
STARTED_AT=$SECONDS

step() { printf '  %-46s' "$1"; STEP_AT=$SECONDS; }
# `done` is a word of the shell: an ended step says how long it took.
ok() { local took=$((SECONDS - STEP_AT)); if [ "$took" -gt 1 ]; then printf 'done, %d s\n' "$took"; else printf 'done\n'; fi; }
same() { printf 'up to date\n'; }
say() { printf '%s\n' "$*"; }

# fail SENTENCE...: one clear sentence, and out.
fail() { printf '\n\n%s\n' "$*" >&2; exit 1; }

# quietly LOG COMMAND...: output goes to the log; on failure its end is shown.
quietly() {
    local log=$1; shift
    mkdir -p "$(dirname "$log")" || fail "Cannot write to $(dirname "$log"): check the rights and the free space of the disk."
    "$@" >"$log" 2>&1 && return 0
    printf 'failed\n\n' >&2
    tail -n 15 "$log" >&2
    return 1
}

# fingerprint FILE...: changes when any of the files does.
fingerprint() { cat "$@" 2>/dev/null | sha256sum | cut -c1-32; }

# unchanged STAMP FINGERPRINT: true when the stamp was left by the same inputs.
unchanged() { [ -f "$1" ] && [ "$(cat "$1")" = "$2" ]; }

random_secret() { head -c 24 /dev/urandom | base64 | tr -d '/+=\n'; }

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

enough_room() {
    local free; free=$(df -Pk "$1" | awk 'NR == 2 { print $4 }')
    [ "${free:-0}" -ge "$2" ]
}

# end_pids PID...: ends processes by the ids we started, waits, and only then forces.
end_pids() {
    local pid i
    for pid in "$@"; do [ -n "$pid" ] && kill -TERM "$pid" 2>/dev/null; done
    for i in $(seq 1 100); do
        local alive=0
        for pid in "$@"; do [ -n "$pid" ] && kill -0 "$pid" 2>/dev/null && alive=1; done
        [ "$alive" = 0 ] && return 0
        sleep 0.1
    done
    for pid in "$@"; do [ -n "$pid" ] && kill -KILL "$pid" 2>/dev/null; done
    return 0
}
