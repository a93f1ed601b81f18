#!/usr/bin/env bash
# Measures every stage against a reference run side by side, then the worksheet in Chromium on a server of its own.
set -euo pipefail
cd "$(dirname "$(readlink -f "$0")")/.."
. scripts/common.sh

trap 'stop_server; stop_postgres' EXIT
trap 'exit 130' INT
trap 'exit 143' TERM

need_node
install_packages
install_toolchains
install_modules
# Bundled, as the code ships: what tsx adds to each function to keep its name costs time that no user waits.
npx --no-install esbuild bench/stages.ts --bundle --platform=node --format=esm --packages=external \
  --log-level=error --outfile=.orden/bench/stages.mjs
node .orden/bench/stages.mjs
npx --no-install tsx bench/peak.ts
npx --no-install tsx bench/reading.ts
npx --no-install tsx bench/style.ts
npx --no-install tsx bench/pictures.ts
npx --no-install tsx bench/targets.ts

rm -rf .orden/bench-postgres
start_postgres .orden/bench-postgres
run_ts src/server/prepare.ts || fail "the database could not be prepared; see the message above."
build_app
PORT=$(free_port)
start_server "$PORT"
npx --no-install tsx bench/worksheet.ts "http://127.0.0.1:$PORT"
npx --no-install tsx bench/load.ts "http://127.0.0.1:$PORT"
