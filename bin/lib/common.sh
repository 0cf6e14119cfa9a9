# Words and small steps shared by bin/start and bin/test. Sourced, never run.

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
# Where everything of this installation is kept; another folder for drills.
STATE=${WRENFERN_STATE:-"$ROOT/.wrenfern"}

say() { printf '%s\n' "$*"; }
fail() {
  printf 'wrenfern: %s\n' "$*" >&2
  exit 1
}

need_node() {
  command -v node >/dev/null 2>&1 || fail "Node.js is missing. Install version 20.19 or newer, then try again."
  node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' ||
    fail "Node.js $(node -p process.versions.node) is too old. Version 20.19 or newer is needed."
}

# Packages are installed when there are none, or when the lock file changed since the last time.
need_packages() {
  local stamp="$ROOT/node_modules/.wrenfern-lock"
  if [ -f "$stamp" ] && cmp -s "$stamp" "$ROOT/package-lock.json"; then return 0; fi
  say "Installing packages (once; about a minute) …"
  mkdir -p "$STATE"
  if ! (cd "$ROOT" && npm ci --no-audit --no-fund) >"$STATE/install-packages.log" 2>&1; then
    tail -n 5 "$STATE/install-packages.log" >&2
    fail "The packages could not be installed. The whole story is in $STATE/install-packages.log"
  fi
  cp "$ROOT/package-lock.json" "$stamp"
}

# Built again when a source is newer than what was built. WHAT SOURCES...
stale() { [ ! -e "$1" ] || [ -n "$(find "${@:2}" -newer "$1" -type f -print -quit)" ]; }

# The exercises as one module, made again when one of them or what reads them changed.
compile_library() {
  local module="$ROOT/library/src/exercises.generated.js" said
  stale "$module" "$ROOT/library/exercises" "$ROOT"/core/src/{movement,body,people,formats/exercise} "$ROOT/tools/compile-library.ts" || return 0
  if ! said=$(node --import "$ROOT/node_modules/tsx/dist/esm/index.mjs" "$ROOT/tools/compile-library.ts" 2>&1); then
    printf '%s\n' "$said" >&2
    fail "The exercises could not be read; each line above names a file, a line and what is wrong there."
  fi
}

# A port that takes a connection, or leaves one hanging, is in use.
port_free() {
  local status=0
  timeout 2 bash -c ": <>/dev/tcp/127.0.0.1/$1" 2>/dev/null || status=$?
  [ "$status" -ne 0 ] && [ "$status" -ne 124 ]
}

next_free_port() {
  local port=$1
  while ! port_free "$port"; do port=$((port + 1)); done
  printf '%s' "$port"
}
