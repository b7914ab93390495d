#!/usr/bin/env bash
# restore.sh FILE: puts a backup in the place of what is here: the database whole or not at all, then the film that is in it; film that is here
# stays. Whoever uses the database stands in its way, and nothing is changed; with CUT_OFF=true they are cut off for the moment it is exchanged,
# as when the application itself asks for it. Expects NUXT_DATABASE_URL and NUXT_FILM_DIR.
set -euo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
# shellcheck source=scripts/setup.sh
. "$ROOT/scripts/setup.sh"
FILE="$1"

find_postgres || fail "PostgreSQL's programs are not here; restoring needs pg_restore. Nothing was changed."
[ -f "$FILE" ] || fail "There is no file $FILE. Nothing was changed."
mkdir -p "$NUXT_FILM_DIR"
work=$(mktemp -d "$NUXT_FILM_DIR/.restore-XXXXXX")
trap 'rm -rf "$work"' EXIT
umask 077
tar -xf "$FILE" -C "$work" backup.txt database.dump film.txt 2>/dev/null && head -n 1 "$work/backup.txt" | grep -qx 'violet-chalk-backup 1' \
  || fail "$FILE is no backup of Violet Chalk, or not all of it. Nothing was changed."
"$PG_BIN/pg_restore" --list "$work/database.dump" >/dev/null 2>&1 || fail "The database in $FILE is broken. Nothing was changed."

url_of() { printf '%s/%s' "${NUXT_DATABASE_URL%/*}" "$1"; }
sql() { PGOPTIONS="-c client_min_messages=warning" "$PG_BIN/psql" "$(url_of postgres)" -v ON_ERROR_STOP=1 -qAtc "$1"; }
name="${NUXT_DATABASE_URL##*/}"
sql "drop database if exists ${name}_new" && sql "create database ${name}_new"
"$PG_BIN/pg_restore" --no-owner --exit-on-error --single-transaction --dbname="$(url_of "${name}_new")" "$work/database.dump" \
  || { sql "drop database ${name}_new"; fail "The database in $FILE could not be put back. Nothing was changed."; }
# A step of the tables that this build does not know was made by a later one.
known=$(find "$ROOT/server/db/migrations" -name '[0-9]*.ts' -printf '%f\n' | sort | tail -n 1)
newest=$("$PG_BIN/psql" "$(url_of "${name}_new")" -qAtc 'select max(name) from "SequelizeMeta"' 2>/dev/null) \
  || { sql "drop database ${name}_new"; fail "The database in $FILE is not one of Violet Chalk. Nothing was changed."; }
if [[ "$newest" > "${known%.ts}" ]]; then
  sql "drop database ${name}_new"
  fail "$FILE was made by a newer build of Violet Chalk than this one ($newest): bring this one up to date first. Nothing was changed."
fi
if tar -tf "$FILE" | grep -q '^film/'; then
  tar -xf "$FILE" -C "$work" --wildcards 'film/*'
  cp -rn "$work/film/." "$NUXT_FILM_DIR/"
fi
# From here on it is the other one; what was here is kept beside it until this is done.
sql "drop database if exists ${name}_before"
exchange="alter database $name rename to ${name}_before; alter database ${name}_new rename to $name"
cut_off="select pg_terminate_backend(pid) from pg_stat_activity where datname = '$name'"
done=false
if [ "${CUT_OFF:-}" = true ]; then
  # Somebody may have come back between the two: once more then.
  for _ in 1 2 3 4 5; do sql "$cut_off; $exchange" >/dev/null 2>&1 && done=true && break; done
else
  sql "$exchange" && done=true
fi
[ "$done" = true ] || { sql "drop database ${name}_new"; fail "Somebody is using the database: stop the application first. Nothing was changed."; }
sql "drop database ${name}_before"
missing=$(while IFS=$'\t' read -r file _; do [ -f "$NUXT_FILM_DIR/$file" ] || printf '.'; done <"$work/film.txt" | wc -c)
say "Restored as of $(sed -n 's/^made //p' "$work/backup.txt")."
[ "$missing" -eq 0 ] || say "$missing files of film are not in it and not here: bring them by hand, or watch without them."
