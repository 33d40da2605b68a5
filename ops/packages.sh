#!/usr/bin/env bash
# Installs what the project needs and does not have yet: Debian's packages, PHP packages, npm packages, the built front end.
# Usage: ops/packages.sh [php|all|test]
set -euo pipefail
. "$(dirname "${BASH_SOURCE[0]}")/common.sh"
cd "$root"
want=${1:-all}

php_packages=(php8.2-cli php8.2-mysql php8.2-gd php8.2-imagick php8.2-zip php8.2-bcmath php8.2-curl php8.2-opcache php8.2-intl php8.2-mbstring php8.2-xml icc-profiles-free libimage-exiftool-perl)
system_packages=("${php_packages[@]}" php8.2-fpm php8.2-apcu php8.2-redis mariadb-server nginx-light supervisor chromium poppler-utils composer unzip)
# Only the tests need them: an independent reader and writer of measurement text to compare with, and servers of others that may be configured.
test_packages=(argyll redis-server memcached swift-proxy swift-account swift-container swift-object)

install_debian() {
  local missing=() p
  for p in "$@"; do
    dpkg-query -W -f='${Status}' "$p" 2>/dev/null | grep -q 'ok installed' || missing+=("$p")
  done
  [ ${#missing[@]} -eq 0 ] && return
  command -v apt-get >/dev/null || fail "the packages ${missing[*]} are missing and this is not a Debian machine; install them by hand."
  local sudo=()
  if [ "$(id -u)" -ne 0 ]; then
    command -v sudo >/dev/null || fail "the packages ${missing[*]} are missing; run this as root, or install sudo."
    sudo=(sudo)
  fi
  say "Installing ${#missing[@]} Debian packages: ${missing[*]}"
  local log; log=$(mktemp)
  "${sudo[@]}" env DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=900 update >"$log" 2>&1 \
    || fail "apt-get update failed; is the package mirror reachable? $(tail -n 2 "$log")"
  "${sudo[@]}" env DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=900 install -y --no-install-recommends "${missing[@]}" >"$log" 2>&1 \
    || fail "installing Debian packages failed; run it by hand to see why: apt-get install ${missing[*]}. $(tail -n 2 "$log")"
  rm -f "$log"
}

# A stamp says what was installed from; the step is repeated when the description changes.
unchanged() { [ -f "$2" ] && [ "$(cat "$2")" = "$1" ]; }

install_php() {
  local stamp; stamp=$(cat composer.json composer.versions | sha256sum | cut -c1-40)
  if unchanged "$stamp" vendor/.stamp && [ -f vendor/autoload.php ]; then
    # What the framework found in the packages; the servers may not write there, and would look through all of them with every request.
    if ! php -l bootstrap/cache/packages.php >/dev/null 2>&1 || ! php -l bootstrap/cache/services.php >/dev/null 2>&1; then
      rm -f bootstrap/cache/*.php; php artisan package:discover -q || fail "the framework does not start; run php artisan about to see why."
      chmod a+r bootstrap/cache/*.php
    fi
    return
  fi
  say "Installing PHP packages"
  # A lock file would name the registry it was made from. Every version is named instead, and taken if it is still to be had.
  local exact=() log; mapfile -t exact < <(sed 's/^/--with=/' composer.versions); log=$(mktemp)
  export COMPOSER_ALLOW_SUPERUSER=1
  composer update --no-interaction --no-progress --no-scripts "${exact[@]}" >"$log" 2>&1 \
    || { say "Not all of composer.versions can be had; taking the newest that go together."; composer update --no-interaction --no-progress --no-scripts >"$log" 2>&1; } \
    || fail "composer could not install the PHP packages; is Packagist reachable? $(tail -n 3 "$log")"
  # Some archives carry files that only their owner may read; the servers run as another user.
  chmod -R a+rX vendor
  rm -f "$log" bootstrap/cache/*.php
  php artisan package:discover -q || fail "the framework does not start; run php artisan about to see why."
  printf '%s' "$stamp" > vendor/.stamp
}

install_node() {
  command -v npm >/dev/null || fail "Node.js with npm is missing; install Node 20 or later."
  local stamp; stamp=$(sha256sum package-lock.json | cut -c1-40)
  if ! unchanged "$stamp" node_modules/.stamp; then
    say "Installing npm packages"
    local log; log=$(mktemp)
    npm ci --no-audit --no-fund >"$log" 2>&1 || fail "npm could not install its packages; is the npm registry reachable? $(tail -n 3 "$log")"
    rm -f "$log"
    printf '%s' "$stamp" > node_modules/.stamp
  fi
  local sources; sources=$(cat package-lock.json vite.config.ts tsconfig.json docs/openapi.yaml $(git ls-files -co --exclude-standard resources/ts | sort) | sha256sum | cut -c1-40)
  if ! unchanged "$sources" public/build/.stamp; then
    say "Building the front end"
    local log; log=$(mktemp)
    npm run build >"$log" 2>&1 || fail "the front end does not build; run npm run build to see why. $(tail -n 3 "$log")"
    rm -f "$log"
    chmod -R a+rX public/build
    printf '%s' "$sources" > public/build/.stamp
  fi
}

command -v php >/dev/null || say "PHP is not here yet; it comes with the packages."
if [ "$want" = php ]; then
  install_debian "${php_packages[@]}" composer unzip
  install_php
else
  install_debian "${system_packages[@]}" $([ "$want" != test ] || echo "${test_packages[@]}")
  install_php
  install_node
fi
