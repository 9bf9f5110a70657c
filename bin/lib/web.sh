# nginx, PHP-FPM and the worker as our own children, on loopback. Set before use: HOME_DIR, WEB_PORT.

NGINX_PID=""
FPM_PID=""
WORKER_PID=""

# Environment of this instance; find_home comes before. Secrets are made once and kept in a file only its owner can read. What is
# written from here on (logs, cached configuration with key and password) is for nobody else.
load_instance() {
    local env_file=$HOME_DIR/env
    umask 077
    if [ ! -s "$env_file" ]; then
        printf 'APP_KEY=base64:%s\nDB_PASSWORD=%s\n' "$(head -c 32 /dev/urandom | base64)" "$(random_secret)" >"$env_file.new" \
            && mv "$env_file.new" "$env_file" || fail "Cannot write $env_file: check the rights and the free space of the disk."
        give_home
    fi
    set -a
    # shellcheck disable=SC1090
    . "$env_file"
    APP_ENV=${APP_ENV:-production} APP_DEBUG=false APP_URL=${NOBLE_TURN_URL:-"http://127.0.0.1:$WEB_PORT"}
    DB_DATABASE=$DB_PREFIX DB_PORT=$DB_PORT
    NOBLE_TURN_LOG=$HOME_DIR/log/noble-turn.log NOBLE_TURN_KEEP=$HOME_DIR/backups
    # Whatever the framework caches lives with the instance, so that tests never see it and the code is only read.
    APP_CONFIG_CACHE=$HOME_DIR/cache/config.php APP_ROUTES_CACHE=$HOME_DIR/cache/routes.php APP_EVENTS_CACHE=$HOME_DIR/cache/events.php
    APP_PACKAGES_CACHE=$HOME_DIR/cache/packages.php APP_SERVICES_CACHE=$HOME_DIR/cache/services.php
    VIEW_COMPILED_PATH=$HOME_DIR/cache/views
    set +a
}

artisan() { (cd "$RUN_ROOT" && as_server php "$RUN_ROOT/artisan" "$@"); }

prepare_application() {
    # What an older version cached is not for this one.
    rm -f "$HOME_DIR"/cache/*.php
    find_code
    step "Tables"
    quietly "$HOME_DIR/log/update.log" artisan installation update || fail "The start ends here; the whole story is in $HOME_DIR/log/update.log."
    ok
    # Rarely more than nothing: what was written first, or put back.
    sed 's/^/  /' "$HOME_DIR/log/update.log"
    step "Configuration"
    quietly "$HOME_DIR/log/cache.log" artisan config:cache || fail "See $HOME_DIR/log/cache.log."
    quietly "$HOME_DIR/log/cache.log" artisan route:cache || fail "See $HOME_DIR/log/cache.log."
    ok
}

# Settings of the opcode cache hold for the whole process. Files are read once: a start after an update reads them anew. The just-in-time
# compiler stays off: PHP 8.2's mixed up the arguments of a call once it had been made often enough (decision 0037).
launch_fpm() {
    local served
    mapfile -t served <"$ROOT/bin/lib/php-served"
    setsid "${SERVER_PREFIX[@]}" php-fpm8.2 "${served[@]}" --nodaemonize --fpm-config "$WEB_DIR/php-fpm.conf" </dev/null >>"$HOME_DIR/log/fpm.out" 2>&1 &
    FPM_PID=$!
    note_pid fpm "$FPM_PID"
    disown
}

launch_nginx() {
    setsid "${SERVER_PREFIX[@]}" nginx -e "$HOME_DIR/log/nginx.err" -p "$WEB_DIR" -c "$WEB_DIR/nginx.conf" -g 'daemon off;' </dev/null >>"$HOME_DIR/log/nginx.out" 2>&1 &
    NGINX_PID=$!
    note_pid nginx "$NGINX_PID"
    disown
}

# Long work, such as bringing a school's records up to date, is done beside the requests. A worker ends every hour and is begun anew;
# before it, what has run out is thrown away. Beside it the clock: what is due by now is put before the worker, every minute.
launch_worker() {
    setsid "${SERVER_PREFIX[@]}" bash -c 'trap "kill \$child \$clock 2>/dev/null; exit 0" TERM; (while :; do php "$1/artisan" schedule:run; sleep 60; done) & clock=$!; while :; do php "$1/artisan" installation tidy; php "$1/artisan" queue:work --sleep=2 --max-time=3600 & child=$!; wait "$child"; sleep 2; done' \
        worker "$RUN_ROOT" </dev/null >>"$HOME_DIR/log/worker.out" 2>&1 &
    WORKER_PID=$!
    note_pid worker "$WORKER_PID"
    disown
}

# servers_conf FILE: one of the servers' settings with what is this installation's own in its places.
servers_conf() {
    local proxies="" said=${NOBLE_TURN_PROXIES:-} one
    for one in ${said//,/ }; do proxies+="set_real_ip_from $one; "; done
    [ -z "$proxies" ] || proxies+="real_ip_header X-Forwarded-For; real_ip_recursive on;"
    sed -e "s#RUNDIR#$WEB_DIR#g; s#ROOT#$RUN_ROOT#g; s#LOGDIR#$HOME_DIR/log#g; s#WEBPORT#$WEB_PORT#g; s#PROXIES#$proxies#g" \
        -e "s#REQUESTS#$REQUESTS#g; s#BURST#$((REQUESTS * 4))#g" "$ROOT/bin/server/$1" >"$WEB_DIR/$1"
}

# What one address may ask for in a second; a page asks for five to ten things (assumed).
check_settings() {
    REQUESTS=${NOBLE_TURN_REQUESTS:-60}
    [[ $REQUESTS =~ ^[1-9][0-9]{0,4}$ ]] || fail "NOBLE_TURN_REQUESTS is a whole number, requests a second of one address: not $REQUESTS."
    [[ ${NOBLE_TURN_PROXIES:-} =~ ^[0-9a-fA-F.:/,\ ]*$ ]] || fail "NOBLE_TURN_PROXIES are addresses or networks with commas between them: not $NOBLE_TURN_PROXIES."
    [[ ${NOBLE_TURN_URL:-http://x} =~ ^https?://[^[:space:]/]+$ ]] || fail "NOBLE_TURN_URL is the address that people type, such as https://drive.example: not $NOBLE_TURN_URL."
}

# The application answers and has its database; a worker that has just begun may have much to do.
answers() { curl -sS "http://127.0.0.1:$WEB_PORT/up" 2>/dev/null | grep -q '"database":true'; }

start_web() {
    check_settings
    step "Web server"
    port_is_free "$WEB_PORT" || fail "Port $WEB_PORT on 127.0.0.1 is taken, perhaps by a Noble Turn that is already running. Stop it, or set NOBLE_TURN_PORT."
    # Sockets have short paths only in a short place.
    WEB_DIR=$(mktemp -d /tmp/noble-turn.XXXXXX)
    servers_conf nginx.conf
    servers_conf php-fpm.conf
    [ -z "$SERVER_USER" ] || chown -R "$SERVER_USER:$SERVER_USER" "$WEB_DIR"
    launch_fpm
    launch_nginx
    launch_worker
    local i
    for i in $(seq 1 150); do
        answers && break
        kill -0 "$FPM_PID" 2>/dev/null && kill -0 "$NGINX_PID" 2>/dev/null || { tail -n 5 "$HOME_DIR/log/fpm.out" "$HOME_DIR/log/nginx.err" >&2; fail "The web server did not start; logs are in $HOME_DIR/log."; }
        sleep 0.1
    done
    answers || fail "The application does not answer; its log is in $HOME_DIR/log."
    ok
}

stop_web() {
    [ -n "$FPM_PID" ] || return 0
    end_pids "$WORKER_PID" "$NGINX_PID" "$FPM_PID"
    rm -f "$HOME_DIR"/run/{fpm,nginx,worker}.pid
    NGINX_PID="" FPM_PID="" WORKER_PID=""
    [ -n "${WEB_DIR:-}" ] && rm -rf "$WEB_DIR"
    return 0
}
