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

# What the servers write takes no more room than this, each file with the end of what it held before, bytes (assumed).
MOST_LOGGED=${NOBLE_TURN_MOST_LOGGED:-5000000}

# Cut where it stands: the servers go on writing to its end. What the application logs bounds itself.
bound_logs() {
    local file
    for file in "$HOME_DIR"/log/{nginx.err,nginx.out,fpm.log,fpm.out,worker.out} "$DB_DIR/error.log"; do
        [ "$(stat -c %s "$file" 2>/dev/null || echo 0)" -gt "$MOST_LOGGED" ] || continue
        (umask 077; tail -c 1000000 "$file" >"$file.before") 2>/dev/null
        : >"$file"
    done
}

# Looks every second, and hears a signal meanwhile.
keep_serving() {
    local seconds=0
    while revive; do
        [ $((seconds++ % 5)) -gt 0 ] || bound_logs
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
