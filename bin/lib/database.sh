# A private MariaDB: own data directory, port, socket and password; nothing shared with a system server.
# Set before use: HOME_DIR (where this instance lives), DB_PORT, DB_PREFIX (databases are named with it).

DB_PID=""

# In the home; where an earlier version had put it elsewhere, it stays there.
database_place() {
    DB_DIR=$HOME_DIR/mariadb
    DB_AS=()
    [ -z "$SERVER_USER" ] || DB_AS=(--user="$SERVER_USER")
    # Only under our own place, and only where that version had finished it: a folder called data may be anybody's.
    local before; before=$(dirname "$HOME_DIR")
    case $HOME_DIR in "$OWN_PLACES"/*/home) [ -f "$before/ready" ] && [ -d "$before/data/mysql" ] && [ ! -d "$DB_DIR/data" ] && DB_DIR=$before ;; esac
    (umask 077; mkdir -p "$DB_DIR/tmp") || fail "Cannot make $DB_DIR: check the rights and the free space of the disk."
    [ -z "$SERVER_USER" ] || chown "$SERVER_USER:$SERVER_USER" "$DB_DIR" "$DB_DIR/tmp"
    [ "$DB_DIR" = "$before" ] || chmod 700 "$DB_DIR"
}

# As whoever runs this: the socket tells the server who that is.
sql() { mariadb --no-defaults --user="$(id -un)" --socket="$DB_SOCKET" --batch --skip-column-names "$@"; }

start_database() {
    database_place
    # A socket's path is limited to 107 bytes: it lives in a short place of its own.
    DB_SOCKET_DIR=$(mktemp -d /tmp/noble-turn.XXXXXX) && chmod 711 "$DB_SOCKET_DIR"
    [ -n "$SERVER_USER" ] && chown "$SERVER_USER" "$DB_SOCKET_DIR"
    DB_SOCKET=$DB_SOCKET_DIR/db.sock
    step "Database"
    if [ ! -f "$DB_DIR/ready" ]; then
        # A first start that broke off left half a data directory: it holds nothing yet and is made anew.
        rm -rf "$DB_DIR/data"
        quietly "$HOME_DIR/log/db-install.log" mariadb-install-db --no-defaults "${DB_AS[@]}" --datadir="$DB_DIR/data" \
            --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" --skip-test-db --tmpdir="$DB_DIR/tmp" \
            || fail "MariaDB could not make its data directory; the log is $HOME_DIR/log/db-install.log."
    fi
    port_is_free "$DB_PORT" || fail "Port $DB_PORT on 127.0.0.1 is taken, perhaps by a Noble Turn that is already running. Stop it, or set NOBLE_TURN_DB_PORT."
    launch_database
    await_database || { tail -n 8 "$DB_DIR/error.log" >&2; fail "MariaDB did not start within 30 s; its log is $DB_DIR/error.log."; }
    secure_database || fail "The database accounts could not be set; see $DB_DIR/error.log."
    touch "$DB_DIR/ready"
    ok
}

# Begins the server, in a session of its own, so that Ctrl-C reaches this script first and ends it in order.
launch_database() {
    setsid mariadbd --no-defaults "${DB_AS[@]}" --datadir="$DB_DIR/data" --socket="$DB_SOCKET" --pid-file="$DB_DIR/db.pid" \
        --bind-address=127.0.0.1 --port="$DB_PORT" --tmpdir="$DB_DIR/tmp" --skip-name-resolve --skip-log-bin \
        --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --innodb-buffer-pool-size=256M \
        --log-error="$DB_DIR/error.log" </dev/null >/dev/null 2>&1 &
    DB_PID=$!
    note_pid database "$DB_PID"
    disown
}

await_database() {
    local i
    for i in $(seq 1 300); do
        sql -e 'select 1' >/dev/null 2>&1 && return 0
        kill -0 "$DB_PID" 2>/dev/null || return 1
        sleep 0.1
    done
    return 1
}

# Root by socket only; one account for the application, over loopback, with a generated password.
secure_database() {
    sql <<SQL
DELETE FROM mysql.global_priv WHERE User = '' OR (User = 'root' AND Host <> 'localhost');
FLUSH PRIVILEGES;
CREATE DATABASE IF NOT EXISTS ${DB_PREFIX} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE OR REPLACE USER 'noble_turn'@'127.0.0.1' IDENTIFIED BY '${DB_PASSWORD}';
GRANT ALL ON \`${DB_PREFIX}%\`.* TO 'noble_turn'@'127.0.0.1';
SQL
}

stop_database() {
    # Only what we began: another start may be using the same home.
    [ -n "$DB_PID" ] && end_pids "$DB_PID" && rm -f "$HOME_DIR/run/database.pid"
    DB_PID=""
    [ -n "${DB_SOCKET_DIR:-}" ] && rm -rf "$DB_SOCKET_DIR"
    return 0
}
