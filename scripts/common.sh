# Shared by ./start and ./check: what the machine needs, and a private PostgreSQL cluster.
# Every step says what it does; a failure ends in one sentence.

say() { printf '\033[1m%s\033[0m\n' "$*"; }
fail() { printf 'Orden: %s\n' "$*" >&2; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"; else
    command -v sudo >/dev/null || fail "installing packages needs root; run as root or install sudo."
    sudo "$@"
  fi
}

pg_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

have_postgres() { [ -x "$(pg_bin)/postgres" ]; }
have_chromium() { [ -x /usr/bin/chromium ]; }
have_fontconfig() { command -v fc-match >/dev/null; }

# Installs what is missing from Debian's packages. Chromium draws the proof and drives the tests;
# fontconfig and one font family answer what a generic family name means here.
install_packages() {
  local missing=()
  have_postgres || missing+=(postgresql)
  have_chromium || missing+=(chromium)
  have_fontconfig || missing+=(fontconfig)
  [ -f /usr/share/fonts/truetype/dejavu/DejaVuSans.ttf ] || missing+=(fonts-dejavu-core fonts-dejavu-extra)
  install_missing "${missing[@]}"
}

# What draws and checks QML: Qt Quick with its modules, its linter and its formatter. The application works without.
QT_PACKAGES=(qml-qt6 qt6-declarative-dev-tools qml6-module-qtquick qml6-module-qtquick-layouts
  qml6-module-qtquick-shapes qml6-module-qtquick-window qml6-module-qtqml qml6-module-qtqml-models
  qml6-module-qtqml-workerscript libqt6svg6)
have_qt() { [ -x /usr/lib/qt6/bin/qml ] && [ -x /usr/lib/qt6/bin/qmllint ] && [ -d /usr/lib/*/qt6/qml/QtQuick/Layouts ] && [ -d /usr/lib/*/qt6/qml/QtQuick/Shapes ]; }

# What compiles and links the resources of Android.
have_aapt() { command -v aapt2 >/dev/null && [ -f /usr/share/android-framework-res/framework-res.apk ]; }

# The tools of the targets, for the tests and the bench.
install_toolchains() {
  local missing=()
  have_qt || missing+=("${QT_PACKAGES[@]}")
  have_aapt || missing+=(aapt android-framework-res)
  install_missing "${missing[@]}"
}

install_missing() {
  local missing=("$@")
  [ ${#missing[@]} -gt 0 ] || return 0
  say "Installing ${missing[*]} from Debian's packages"
  command -v apt-get >/dev/null || fail "this machine lacks ${missing[*]} and has no apt-get to install them."
  # Orden starts a cluster of its own, so the package must not make one.
  as_root mkdir -p /etc/postgresql-common/createcluster.d
  echo 'create_main_cluster = false' | as_root tee /etc/postgresql-common/createcluster.d/orden.conf >/dev/null
  as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq || fail "apt-get update failed; check the package sources."
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null ||
    fail "apt-get could not install ${missing[*]}."
}

need_node() {
  command -v node >/dev/null || fail "Node.js is missing; install version 20.19 or newer."
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' ||
    fail "Node.js $(node -v) is too old; install version 20.19 or newer."
}

install_modules() {
  if [ ! -f node_modules/.package-lock.json ] || [ package-lock.json -nt node_modules/.orden-installed ]; then
    say "Installing the Node.js packages"
    npm ci --no-audit --no-fund --loglevel=error || fail "npm ci failed; see its message above."
    touch node_modules/.orden-installed
  fi
}

# Builds when a source is newer than the last build.
build_app() {
  if [ -f .next/BUILD_ID ] && [ -f .orden/command/worker.js ] && [ -z "$(find src package-lock.json next.config.ts tsconfig.json -newer .next/BUILD_ID -print -quit)" ]; then return 0; fi
  say "Building the application (about a minute)"
  mkdir -p .orden
  NEXT_TELEMETRY_DISABLED=1 npx --no-install next build >.orden/build.log 2>&1 || { tail -n 40 .orden/build.log >&2; fail "the build failed; its log is .orden/build.log."; }
  node scripts/bundleCommand.mjs || fail "the workers could not be bundled; see the message above."
}

free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{process.stdout.write(String(s.address().port));s.close()})'; }
port_is_free() { node -e 'const s=require("net").createServer();s.once("error",()=>process.exit(1));s.listen(+process.argv[1],"127.0.0.1",()=>s.close())' "$1"; }

# The user that may run the server: postgres when we are root, since initdb refuses root.
as_pg() {
  if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

secret() { node -e 'process.stdout.write(require("crypto").randomBytes(18).toString("hex"))'; }

# Starts the cluster in folder $1 and sets DATABASE_URL. Further arguments are settings of the server.
start_postgres() {
  local folder=$1 bin data port password
  shift
  bin=$(pg_bin)
  mkdir -p "$folder"
  folder=$(cd "$folder" && pwd)
  data=$folder/data
  PG_DATA=$data
  local owner
  owner=$(stat -c %U "$data" 2>/dev/null || true)
  if [ -n "$owner" ] && [ "$owner" != "$(as_pg id -un)" ]; then
    fail "the database in $folder belongs to the user $owner, and this is another; start Orden as that one did."
  fi
  if [ "$(id -u)" = 0 ]; then
    chown postgres "$folder"
    as_pg test -x "$folder" || fail "the user postgres cannot reach $folder; move Orden to a folder that every user may enter."
  fi
  if [ ! -f "$data/PG_VERSION" ]; then
    say "Making a PostgreSQL cluster"
    password=$(secret)
    (umask 077 && printf '%s\n' "$password" >"$folder/password")
    [ "$(id -u)" != 0 ] || chown postgres "$folder/password"
    # Made beside its place, so that a cluster which was stopped half made is never taken for a whole one.
    rm -rf "$data.new"
    as_pg "$bin/initdb" -D "$data.new" -U app --pwfile="$folder/password" -A scram-sha-256 -E UTF8 --locale=C.UTF-8 >"$folder.log" 2>&1 ||
      fail "initdb failed; its log is $folder.log."
    rm -rf "$data" && mv "$data.new" "$data"
  fi
  password=$(cat "$folder/password")
  if as_pg "$bin/pg_ctl" -D "$data" status >/dev/null 2>&1; then
    as_pg "$bin/pg_ctl" -D "$data" -m fast -w stop >/dev/null 2>&1 || true
  fi
  port=$(cat "$folder/port" 2>/dev/null || true)
  if [ -z "$port" ] || ! port_is_free "$port"; then port=$(free_port); fi
  echo "$port" >"$folder/port"
  local settings="-c listen_addresses=127.0.0.1 -p $port -c unix_socket_directories=''"
  local setting
  for setting in "$@"; do settings="$settings -c $setting"; done
  as_pg "$bin/pg_ctl" -D "$data" -l "$folder/server.log" -w -t 30 -s -o "$settings" start 9>&- ||
    fail "PostgreSQL did not start; its log is $folder/server.log."
  # The application is no superuser of its cluster.
  [ -f "$folder/role-password" ] || (umask 077 && secret >"$folder/role-password")
  PGPASSWORD=$password "$bin/psql" -h 127.0.0.1 -p "$port" -U app -d postgres -q -v ON_ERROR_STOP=1 \
    -v password="$(cat "$folder/role-password")" -f scripts/role.sql >>"$folder.log" 2>&1 ||
    fail "the role of the application could not be made; see $folder.log."
  export DATABASE_URL="postgres://orden:$(cat "$folder/role-password")@127.0.0.1:$port/postgres"
}

postgres_runs() { as_pg "$(pg_bin)/pg_ctl" -D "$PG_DATA" status >/dev/null 2>&1; }

stop_postgres() {
  [ -n "${PG_DATA:-}" ] || return 0
  as_pg "$(pg_bin)/pg_ctl" -D "$PG_DATA" -m fast -w stop >/dev/null 2>&1 || true
}

run_ts() { node --import "file://$PWD/node_modules/tsx/dist/loader.mjs" "$@"; }

server=

# Serves the built application on port $1 and waits until it answers; its process is $server.
start_server() {
  local log=${SERVER_LOG:-.orden/server.log}
  # What a crash said is kept until the next but one start.
  [ ! -s "$log" ] || mv "$log" "$log.1"
  NEXT_TELEMETRY_DISABLED=1 node scripts/serve.mjs 127.0.0.1 "$1" >"$log" 2>&1 9>&- &
  server=$!
  echo "$server" >"${log%.log}.pid"
  for _ in $(seq 1 100); do
    if ! kill -0 "$server" 2>/dev/null; then tail -n 20 "$log" >&2; fail "the server did not start; its log is $log."; fi
    node -e 'fetch(process.argv[1]).then(r=>process.exit(r.ok?0:1),()=>process.exit(1))' "http://127.0.0.1:$1/api/projects" && return 0
    sleep 0.2
  done
  fail "the server did not answer within 20 seconds; its log is $log."
}

# Ends the server, after ten seconds by force.
stop_server() {
  [ -n "$server" ] || return 0
  kill "$server" 2>/dev/null || true
  for _ in $(seq 1 50); do
    kill -0 "$server" 2>/dev/null || break
    sleep 0.2
  done
  kill -KILL "$server" 2>/dev/null || true
  wait "$server" 2>/dev/null || true
}

# One ./start for each folder: a second one would take the database from under the first.
only_one() {
  mkdir -p .orden 2>/dev/null || true
  [ -w .orden ] && { [ ! -e .orden/start.lock ] || [ -w .orden/start.lock ]; } ||
    fail "the folder .orden belongs to another user; start Orden as that one did."
  exec 9>.orden/start.lock
  flock -n 9 || fail "Orden runs already from this folder; stop it first, or start a copy in another folder."
}

# Ends the server that a killed ./start of this folder left behind.
end_left_over() {
  local left
  left=$(cat .orden/server.pid 2>/dev/null) || return 0
  grep -qs 'scripts/serve.mjs' "/proc/$left/cmdline" || return 0
  say "A server of an earlier start still runs; it is ended."
  kill -KILL "$left" 2>/dev/null || true
  sleep 0.5
}

# Starts again what has died, PostgreSQL in folder $1 and the server on port $2, until this process is stopped.
keep_running() {
  while true; do
    sleep 2 9>&- & wait $! || true
    if ! postgres_runs; then
      say "PostgreSQL has stopped; it is started again."
      (start_postgres "$1") || { say "It is tried again in ten seconds; acknowledged work is kept."; sleep 10 9>&- & wait $! || true; }
    fi
    if ! kill -0 "$server" 2>/dev/null; then
      say "The server has stopped; it is started again. What it said is in ${SERVER_LOG:-.orden/server.log}.1."
      start_server "$2"
    fi
  done
}
