# Servers that come back when one dies, and what a start that was killed left running.

# Each server is disowned as it begins: the shell would report its end, and we say it ourselves.

# note_pid NAME PID: where the others find it.
note_pid() { printf '%s\n' "$2" >"$HOME_DIR/run/$1.pid"; }
noted_pid() { cat "$HOME_DIR/run/$1.pid" 2>/dev/null; }

# Ends a server with all its children: each was begun as the head of a group of its own.
end_group() { kill -KILL -- "-$1" 2>/dev/null; }

# So many in one minute is no accident.
MOST_REVIVED=12
REVIVED=0
REVIVED_SINCE=$SECONDS

revived() {
    [ $((SECONDS - REVIVED_SINCE)) -gt 60 ] && REVIVED=0 REVIVED_SINCE=$SECONDS
    REVIVED=$((REVIVED + 1))
    printf '  %s  %s had stopped by itself and is begun again.\n' "$(date +%T)" "$1"
}

# Begins again whatever died. Fails where it goes on dying.
revive() {
    if ! kill -0 "$DB_PID" 2>/dev/null; then revived "The database"; launch_database; await_database; fi
    if ! kill -0 "$FPM_PID" 2>/dev/null; then revived "PHP"; end_group "$FPM_PID"; launch_fpm; fi
    if ! kill -0 "$NGINX_PID" 2>/dev/null; then revived "The web server"; end_group "$NGINX_PID"; launch_nginx; fi
    if ! kill -0 "$WORKER_PID" 2>/dev/null; then revived "The worker"; end_group "$WORKER_PID"; launch_worker; fi
    [ "$REVIVED" -le "${NOBLE_TURN_MOST_REVIVED:-$MOST_REVIVED}" ]
}

# Looks every second, and hears a signal meanwhile.
keep_serving() {
    while revive; do
        sleep 1 &
        wait $!
    done
    return 1
}

# A start that was killed itself left its servers running: those whose ids it noted, and that are ours, are ended.
take_over() {
    local file pid
    for file in "$HOME_DIR"/run/{worker,nginx,fpm,database}.pid; do
        pid=$(cat "$file" 2>/dev/null) || continue
        if [ -n "$pid" ] && tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null | grep -qF -e noble-turn -e "$HOME_DIR" -e queue:work; then
            [ "$file" = "$HOME_DIR/run/database.pid" ] && end_pids "$pid" || end_group "$pid"
        fi
        rm -f "$file"
    done
}
