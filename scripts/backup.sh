#!/usr/bin/env bash
# backup.sh FILE FILM: writes everything of this installation into one file, whole or not at all: the database without the job queue, which is
# made anew, a list of the film, and the film itself when FILM is true. Expects NUXT_DATABASE_URL and NUXT_FILM_DIR.
set -euo pipefail
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
# shellcheck source=scripts/setup.sh
. "$ROOT/scripts/setup.sh"
FILE="$1" FILM="$2"

find_postgres || fail "PostgreSQL's programs are not here; a backup needs pg_dump. Nothing was written."
mkdir -p "$(dirname "$FILE")"
work=$(mktemp -d "$(dirname "$FILE")/.backup-XXXXXX")
trap 'rm -rf "$work"' EXIT
umask 077
"$PG_BIN/pg_dump" --format=custom --no-owner --exclude-schema=jobs --dbname="$NUXT_DATABASE_URL" --file="$work/database.dump" \
  || fail "The database could not be read. Nothing was written."
(cd "$NUXT_FILM_DIR" && find . -type f -not -path './arriving/*' -not -path './writing/*' -not -path './watched/*' -printf '%P\t%s\n' | sort) >"$work/film.txt"
printf 'violet-chalk-backup 1\nmade %s\nfilm %s\n' "$(date -u +%Y-%m-%dT%H:%M:%SZ)" "$FILM" >"$work/backup.txt"
tar -cf "$work/backup.tar" -C "$work" backup.txt database.dump film.txt
if [ "$FILM" = true ] && [ -s "$work/film.txt" ]; then
  cut -f1 "$work/film.txt" >"$work/names"
  tar -rf "$work/backup.tar" -C "$NUXT_FILM_DIR" --transform 's#^#film/#' --files-from "$work/names"
fi
mv "$work/backup.tar" "$FILE"
