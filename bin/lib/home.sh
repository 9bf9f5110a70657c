# Where an instance lives and as whom it runs. Set before use: HOME_DIR (where it is to live).
#
# As root, database, servers and worker run as a user of their own, who must be able to walk down to the code and to the home. Where
# they are out of its reach (a clone under a closed folder), home and code are put where it can go: a home is never opened up.

SERVER_USER=""
RUN_ROOT=$ROOT

# as_server COMMAND...: as the user that servers run as; as ourselves where we are not root.
as_server() {
    if [ -z "$SERVER_USER" ]; then "$@"; return; fi
    # The environment goes along, the home of whoever started does not.
    HOME=$HOME_DIR setpriv --reuid="$SERVER_USER" --regid="$SERVER_USER" --clear-groups "$@"
}

# What stands before a command that is to run as that user, for those that are begun in the background.
server_prefix() {
    SERVER_PREFIX=()
    [ -z "$SERVER_USER" ] || SERVER_PREFIX=(setpriv --reuid="$SERVER_USER" --regid="$SERVER_USER" --clear-groups)
}

find_server_user() {
    [ "$(id -u)" = 0 ] || return 0
    SERVER_USER=nobleturn
    id "$SERVER_USER" >/dev/null 2>&1 || useradd --system --no-create-home --shell /usr/sbin/nologin "$SERVER_USER" \
        || fail "Cannot make the user $SERVER_USER that the servers run as."
}

# A place of its own for what is out of the server user's reach, by the name of what it stands for.
OWN_PLACES=/var/lib/noble-turn
own_place() { printf '%s/%s' "$OWN_PLACES" "$(printf '%s' "$1" | sha256sum | cut -c1-12)"; }

# Finds or makes the home: closed to everybody but the user the servers run as.
find_home() {
    find_server_user
    server_prefix
    mkdir -p "$HOME_DIR" 2>/dev/null || fail "No right to make $HOME_DIR."
    [ -e "$HOME_DIR/lock" ] || [ -e "$HOME_DIR/env" ] || [ -z "$(ls -A "$HOME_DIR" 2>/dev/null)" ] \
        || fail "$HOME_DIR holds other things: an installation wants a folder of its own."
    # The first thing in it: by this it is known again, wherever a start is broken off.
    (umask 077; : >>"$HOME_DIR/lock") 2>/dev/null || fail "No right to write in $HOME_DIR."
    if [ -n "$SERVER_USER" ] && ! (cd / && as_server test -x "$(dirname "$HOME_DIR")"); then
        local closed=$HOME_DIR
        HOME_DIR=$(own_place "$closed")/home
        (umask 022; mkdir -p "$HOME_DIR") || fail "Cannot make $HOME_DIR."
        # What an earlier version kept in the closed folder goes along.
        [ -e "$closed/env" ] && [ ! -e "$HOME_DIR/env" ] && mv "$closed/env" "$HOME_DIR/env"
        say "  (data lives in $HOME_DIR: the servers' user cannot enter $closed)"
    fi
    chmod 700 "$HOME_DIR" 2>/dev/null || fail "No right to $HOME_DIR: it belongs to somebody else."
    (umask 077; mkdir -p "$HOME_DIR/log" "$HOME_DIR/run" "$HOME_DIR/cache/views" "$HOME_DIR/backups") || fail "Cannot write in $HOME_DIR: check the rights and the free space of the disk."
    give_home
}

# What an installation keeps in its home, but for the database's own folder.
KEPT=(env lock running demo-loaded log run cache backups)

# All of that belongs to the user the servers run as, and nobody else reads it.
give_home() {
    local name
    [ -z "$SERVER_USER" ] || chown "$SERVER_USER:$SERVER_USER" "$HOME_DIR"
    for name in "${KEPT[@]}"; do
        [ -e "$HOME_DIR/$name" ] || continue
        chmod -R go-rwx "$HOME_DIR/$name" 2>/dev/null
        [ -z "$SERVER_USER" ] || chown -R "$SERVER_USER:$SERVER_USER" "$HOME_DIR/$name"
    done
    return 0
}

# What the servers read of the code.
CODE=(app artisan bootstrap composer.json config core database docs/openapi.json packages public resources/views routes storage vendor)

# The servers' user can walk down to the code, and nothing in it is closed to others.
code_is_readable() {
    (cd / && as_server test -r "$ROOT/artisan") || return 1
    [ -z "$(cd "$ROOT" && find "${CODE[@]}" \( ! -perm -004 -o -type d ! -perm -001 \) ! -type l -print -quit)" ]
}

# find_code [keep]: the code where the servers' user can read it: here, or a copy, made anew at each start; kept where servers run it.
find_code() {
    [ -n "$SERVER_USER" ] || return 0
    local copy; copy=$(own_place "$ROOT")/code
    if code_is_readable; then [ "${1:-}" = keep ] || rm -rf "$copy"; return 0; fi
    RUN_ROOT=$copy
    [ "${1:-}" = keep ] && [ -r "$RUN_ROOT/artisan" ] && return 0
    say "  (the servers run a copy in $RUN_ROOT: their user cannot read $ROOT)"
    rm -rf "$RUN_ROOT"
    (umask 022; mkdir -p "$RUN_ROOT") || fail "Cannot make $RUN_ROOT."
    tar -C "$ROOT" -cf - "${CODE[@]}" \
        | tar -C "$RUN_ROOT" -xf - --no-same-owner || fail "Cannot copy the code to $RUN_ROOT: is the disk full?"
    chmod -R go+rX "$RUN_ROOT"
}
