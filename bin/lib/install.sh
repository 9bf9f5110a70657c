# What the machine must have: Debian packages, PHP and npm dependencies, the built front end.

PHP_PACKAGES=(php8.2-cli php8.2-fpm php8.2-apcu php8.2-mysql php8.2-curl php8.2-intl php8.2-mbstring php8.2-xml php8.2-zip)
SERVER_PACKAGES=(mariadb-server-core mariadb-client-core nginx-light)
SPELLING_PACKAGES=(hunspell hunspell-en-gb)
TEST_PACKAGES=(chromium)
# What reads the formats that go out.
FORMAT_PACKAGES=(gdal-bin python3)
# What the core is held against: a traffic simulator, a statistics library, a geodesic library, a solver of integer programmes.
REFERENCE_PACKAGES=(sumo sumo-tools python3 r-base-core geographiclib-tools coinor-cbc)

# install_packages PACKAGE...: only what is missing, all in one go (a php8.2-* package may bring a newer PHP with it).
install_packages() {
    local missing=() name
    for name in "$@"; do
        dpkg-query -W -f='${Status}' "$name" 2>/dev/null | grep -q 'ok installed' || missing+=("$name")
    done
    [ ${#missing[@]} -eq 0 ] && return 0
    command -v apt-get >/dev/null || fail "These packages are missing and this is no Debian system: ${missing[*]}."
    local as=()
    if [ "$(id -u)" != 0 ]; then
        if sudo -n true 2>/dev/null; then as=(sudo); else
            fail "Some Debian packages are missing. Run this once, then start again:

    sudo apt-get install --no-install-recommends ${missing[*]}"
        fi
    fi
    step "Debian packages (${#missing[@]})"
    local guard=/usr/sbin/policy-rc.d made=0
    # Packages must not start services of their own: nginx and PHP-FPM run here only as our children.
    if [ ! -e "$guard" ]; then printf '#!/bin/sh\nexit 101\n' | "${as[@]}" tee "$guard" >/dev/null && "${as[@]}" chmod 755 "$guard" && made=1; fi
    quietly "$ROOT/var/log/apt.log" "${as[@]}" env DEBIAN_FRONTEND=noninteractive sh -c \
        "apt-get update -qq && apt-get install -y -qq --no-install-recommends ${missing[*]}" || { [ $made = 1 ] && "${as[@]}" rm -f "$guard"; fail "Installing Debian packages failed; the log is var/log/apt.log."; }
    [ $made = 1 ] && "${as[@]}" rm -f "$guard"
    ok
}

# fetch_gpx_schema: the schema of GPX 1.1, out of a Debian package that is fetched and not installed. Where it cannot be had, the test says so.
fetch_gpx_schema() {
    local schema=$ROOT/var/schemas/gpx11.xsd room
    [ -s "$schema" ] && return 0
    command -v apt-get >/dev/null || return 0
    step "Schema of GPX"
    room=$(mktemp -d)
    mkdir -p "$ROOT/var/schemas"
    (cd "$room" && { apt-get download pytrainer || { apt-get update && apt-get download pytrainer; }; } && dpkg -x pytrainer_*.deb out) \
        >"$ROOT/var/log/gpx.log" 2>&1 && cp "$room/out/usr/share/pytrainer/schemas/Topografix_gpx11.xsd" "$schema"
    rm -rf "$room"
    [ -s "$schema" ] && ok || say "not had; the log is var/log/gpx.log"
}

check_tools() {
    local tool
    for tool in php composer node npm; do
        command -v "$tool" >/dev/null || fail "$tool is missing: Noble Turn needs PHP 8.2, Composer and Node.js 20 or later."
    done
    php -r 'exit(PHP_VERSION_ID >= 80200 ? 0 : 1);' || fail "PHP 8.2 or later is needed."
    [ "$(node -p 'parseInt(process.versions.node)')" -ge 20 ] || fail "Node.js 20 or later is needed."
    enough_room "$ROOT" 1500000 || fail "The disk is nearly full: 1.5 GB must be free at $ROOT."
    mkdir -p "$ROOT/var/log" 2>/dev/null && [ -w "$ROOT/var" ] || fail "No right to write in $ROOT: Noble Turn keeps its data in var/ there."
}

# install_php_packages [with-tests]: what the application needs; for the tests what they need too. What is there beyond that stays.
install_php_packages() {
    local stamp=$ROOT/vendor/.stamp now only=(--no-dev)
    [ "${1:-}" != with-tests ] || only=()
    now=$(fingerprint "$ROOT/composer.json" "$ROOT/composer.sums" "$ROOT"/packages/*/composer.json "$ROOT"/packages/compat/src/*.php)
    step "PHP packages"
    if unchanged "$stamp" "$now with-tests" || { [ ${#only[@]} -gt 0 ] && unchanged "$stamp" "$now"; }; then same; return; fi
    # Whoever the servers run as must be able to read the code.
    local mask; mask=$(umask); umask 022
    quietly "$ROOT/var/log/composer.log" composer update "${only[@]}" --working-dir="$ROOT" --no-interaction --no-progress --prefer-dist || fail "Composer failed; the log is var/log/composer.log."
    quietly "$ROOT/var/log/pins.log" php "$ROOT/bin/composer-pins.php" check "${only[@]}" || fail "The PHP packages are not the pinned ones; see var/log/pins.log."
    # Some archives unpack closed to others.
    chmod -R go+rX "$ROOT/vendor"
    printf '%s' "$now${1:+ $1}" >"$stamp"
    umask "$mask"
    ok
}

install_node_packages() {
    local stamp=$ROOT/node_modules/.stamp now
    now=$(fingerprint "$ROOT/package.json" "$ROOT/package-lock.json")
    step "npm packages"
    if unchanged "$stamp" "$now"; then same; return; fi
    (cd "$ROOT" && PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 quietly "$ROOT/var/log/npm.log" npm ci --no-audit --no-fund) || fail "npm failed; the log is var/log/npm.log."
    printf '%s' "$now" >"$stamp"
    ok
}

build_front_end() {
    local stamp=$ROOT/public/build/.stamp now
    now=$(cd "$ROOT" && find resources vite.config.ts tsconfig.json package-lock.json docs/openapi.json public/*.* -type f ! -name sw.js -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -c1-32)
    step "Front end"
    if unchanged "$stamp" "$now"; then same; return; fi
    (umask 022; cd "$ROOT" && quietly "$ROOT/var/log/vite.log" npm run --silent build && printf '%s' "$now" >"$stamp") || fail "Building the front end failed; the log is var/log/vite.log."
    ok
}
