#!/bin/sh
# Looks at a site in a build: says what is wrong, keeps reports, and fails when it is worse than what was kept.
#
#   pipeline.sh SITE [KEPT]
#
# SITE is a folder of pages and sheets. KEPT is the JSON of an earlier run; the first run makes it. Commit it, and
# delete it to start afresh. Reports stand in `reports/` afterwards, whatever the outcome.
set -eu

site=$1
kept=${2:-hevret-before.json}
hevret=${HEVRET:-hevret}

if [ ! -f "$kept" ]; then
  $hevret "$site" --fail-on never > "$kept"
  echo "What is wrong today is kept in $kept; from now on only what is new fails."
fi

$hevret "$site" --before "$kept" --fail-on warning --format text \
  --report findings-sarif --report specimen-sheet --out reports
