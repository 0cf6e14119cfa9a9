# Backups and keys of this installation. Sourced by bin/start and bin/wrenfern, after database.sh.

KEPT_BACKUPS=7

keep() { node --import "$ROOT/node_modules/tsx/dist/esm/index.mjs" "$ROOT/server/src/keep.ts" "$@"; }

# secret_file NAME: a secret of this installation, made once, that only we can read.
secret_file() {
  [ -s "$STATE/$1" ] ||
    (umask 077 && node -e 'process.stdout.write(require("node:crypto").randomBytes(32).toString("hex"))' >"$STATE/$1")
  cat "$STATE/$1"
}

# backup_to FILE: the database as it is at one moment, while everything runs, and what opens its records.
# Nobody's being signed in is kept: a restored copy must not let in who was signed out since.
backup_to() {
  local file=$1
  WRENFERN_KEY=$(cat "$STATE/records-key") || fail "There is no installation in $STATE to back up."
  export WRENFERN_KEY
  if ! (
    set -o pipefail
    umask 077
    mariadb-dump --no-defaults --socket="$(db_socket "$STATE/db")" --user="$(id -un)" --single-transaction --quick \
      --skip-lock-tables --hex-blob --default-character-set=utf8mb4 \
      --ignore-table-data=wrenfern.sessions --ignore-table-data=wrenfern.tries --ignore-table-data=wrenfern.leases \
      wrenfern | keep seal >"$file.part"
  ); then
    rm -f "$file.part"
    return 1
  fi
  mv -f "$file.part" "$file"
}

# daily_backup: once a day, under a passphrase that lies beside the key; the last seven are kept.
daily_backup() {
  local folder="$STATE/backups" file
  mkdir -p "$folder" && chmod 700 "$folder"
  file="$folder/wrenfern-$(date +%F).age"
  [ ! -e "$file" ] || return 0
  WRENFERN_PASSPHRASE=$(secret_file backup-passphrase)
  export WRENFERN_PASSPHRASE
  backup_to "$file" || return 1
  find "$folder" -maxdepth 1 -name 'wrenfern-*.age' | sort -r | tail -n +$((KEPT_BACKUPS + 1)) | xargs -r rm -f
}
