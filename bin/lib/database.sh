# A private MariaDB on loopback with its own folder. Sourced by bin/start and bin/test.
#
# db_start FOLDER FIRST_PORT [OPTION…]   starts it, or takes up one that is still running from that folder
# db_stop FOLDER               stops it and waits
# db_url FOLDER NAME           prints the address of a database in it

db_pid() {
  local pid
  pid=$(cat "$1/mariadbd.pid" 2>/dev/null) || return 1
  # A process id may have been given to another program since: ask for its command line.
  [ -r "/proc/$pid/cmdline" ] && tr '\0' ' ' <"/proc/$pid/cmdline" | grep -qF -- "--datadir=$1/data" && printf '%s' "$pid"
}

db_root() { mariadb --no-defaults --socket="$(db_socket "$1")" --user="$(id -un)" "${@:2}"; }
db_answers() { mariadb-admin --no-defaults --socket="$(db_socket "$1")" --user="$(id -un)" ping >/dev/null 2>&1; }

# Socket paths may be about 107 bytes long: a deep folder keeps its socket in the temporary folder.
db_socket() {
  if [ "${#1}" -lt 90 ]; then printf '%s/s.sock' "$1"; else
    printf '%s/wrenfern-%s.sock' "${TMPDIR:-/tmp}" "$(printf '%s' "$1" | cksum | cut -d' ' -f1)"
  fi
}

db_start() {
  local folder=$1 first_port=$2 as_user=() port i
  mkdir -p "$folder"
  chmod 700 "$folder"
  if db_pid "$folder" >/dev/null && db_answers "$folder"; then return 0; fi
  [ "$(id -u)" = 0 ] && as_user=(--user=root)
  if [ ! -d "$folder/data/mysql" ]; then
    rm -rf "$folder/data"
    mariadb-install-db --no-defaults "${as_user[@]}" --datadir="$folder/data" --skip-test-db \
      --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" >"$folder/install.log" 2>&1 ||
      fail "The database could not be set up. The whole story is in $folder/install.log"
  fi
  rm -f "$folder/mariadbd.pid" "$(db_socket "$folder")"
  port=$(next_free_port "$(cat "$folder/port" 2>/dev/null || printf '%s' "$first_port")")
  printf '%s' "$port" >"$folder/port"
  # In a session of its own: Ctrl-C in the terminal is for us to pass on, in order. It must not keep our lock (9).
  setsid mariadbd --no-defaults "${as_user[@]}" --datadir="$folder/data" --socket="$(db_socket "$folder")" \
    --bind-address=127.0.0.1 --port="$port" --pid-file="$folder/mariadbd.pid" --skip-name-resolve \
    --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --log-error="$folder/error.log" "${@:3}" \
    </dev/null >/dev/null 2>&1 9>&- &
  disown $!
  for ((i = 0; i < 300; i++)); do
    db_answers "$folder" && break
    sleep 0.1
  done
  db_answers "$folder" || {
    tail -n 5 "$folder/error.log" >&2
    fail "The database did not start within 30 seconds. The whole story is in $folder/error.log"
  }
}

# db_create FOLDER NAME: the database and its user, whose password is kept in a file that only we can read.
db_create() {
  local folder=$1 name=$2 password
  if [ ! -s "$folder/password" ]; then
    (umask 077 && node -e 'process.stdout.write(require("node:crypto").randomBytes(24).toString("hex"))' >"$folder/password")
  fi
  password=$(cat "$folder/password")
  db_root "$folder" <<SQL || fail "The database '$name' could not be made."
CREATE DATABASE IF NOT EXISTS \`$name\`;
CREATE USER IF NOT EXISTS wrenfern@'127.0.0.1' IDENTIFIED BY '$password';
ALTER USER wrenfern@'127.0.0.1' IDENTIFIED BY '$password';
GRANT ALL ON \`$name\`.* TO wrenfern@'127.0.0.1';
SQL
}

db_url() { printf 'mariadb://wrenfern:%s@127.0.0.1:%s/%s' "$(cat "$1/password")" "$(cat "$1/port")" "$2"; }

db_stop() {
  local pid i
  pid=$(db_pid "$1") || return 0
  kill -TERM "$pid" 2>/dev/null || return 0
  for ((i = 0; i < 150; i++)); do
    [ -d "/proc/$pid" ] || return 0
    sleep 0.1
  done
}
