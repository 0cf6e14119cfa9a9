# Debian packages that Wrenfern stands on. Sourced by bin/start and bin/test.

# need_debian PACKAGE COMMAND WHAT: makes sure COMMAND exists, installing PACKAGE when it may.
need_debian() {
  local package=$1 command=$2 what=$3 as_root=()
  if command -v "$command" >/dev/null 2>&1; then return 0; fi
  if [ "$(id -u)" != 0 ]; then
    if command -v sudo >/dev/null 2>&1 && sudo -n true 2>/dev/null; then
      as_root=(sudo)
    else
      fail "$what is missing, and only an administrator can install it. Run this once, then try again:
  sudo apt-get update && sudo apt-get install -y $package"
    fi
  fi
  command -v apt-get >/dev/null 2>&1 || fail "$what is missing, and this machine has no apt-get to install it with. Install $package by hand, then try again."
  say "Installing $what (once; about half a minute) …"
  mkdir -p "$STATE"
  local log="$STATE/install-$package.log"
  if ! { "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get update &&
    "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y --no-install-recommends "$package"; } >"$log" 2>&1; then
    tail -n 5 "$log" >&2
    fail "$what could not be installed. The whole story is in $log"
  fi
  command -v "$command" >/dev/null 2>&1 || fail "$package was installed, yet the command '$command' is still not found."
}
