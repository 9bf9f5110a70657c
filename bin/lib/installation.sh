# Opens an installation for a command that is not the start: finds its home and its database, running or not.
# Set before use: MODE (demo or empty). Says RUNNING (1 while a start is serving it).

. "$ROOT/bin/lib/install.sh"
. "$ROOT/bin/lib/home.sh"
. "$ROOT/bin/lib/database.sh"
. "$ROOT/bin/lib/web.sh"
. "$ROOT/bin/lib/keep.sh"

close_installation() { local code=$?; trap - EXIT; trap '' INT TERM; stop_database; exit "$code"; }

open_installation() {
    WEB_PORT=${NOBLE_TURN_PORT:-8080}
    DB_PORT=${NOBLE_TURN_DB_PORT:-33306}
    HOME_DIR=${NOBLE_TURN_HOME:-$ROOT/var/$MODE}
    DB_PREFIX=noble_turn
    [ -d "$HOME_DIR" ] || [ "${0##*/}" = restore ] || fail "There is no installation in $HOME_DIR."
    check_tools
    install_packages "${PHP_PACKAGES[@]}" "${SERVER_PACKAGES[@]}"
    install_php_packages
    find_home
    exec 9>"$HOME_DIR/lock" || fail "No right to write in $HOME_DIR."
    RUNNING=0
    if flock -n 9; then
        take_over
    else
        [ -s "$HOME_DIR/running" ] || fail "Another command is using $HOME_DIR. Wait for it."
        RUNNING=1
        DB_PORT=$(cat "$HOME_DIR/running")
    fi
    load_instance
    trap close_installation EXIT
    trap 'exit 130' INT TERM
    # The running application's cached configuration is its own.
    export APP_CONFIG_CACHE=$HOME_DIR/cache/none.php APP_ROUTES_CACHE=$HOME_DIR/cache/none.php
    if [ "$RUNNING" = 1 ]; then find_code keep; else find_code; start_database 9>&-; fi
}
