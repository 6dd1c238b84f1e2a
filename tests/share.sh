#!/usr/bin/env bash
# Prints how much of the code is tests; a quarter to a third is wanted.
set -euo pipefail
cd "$(dirname "$0")/.."
lines() { git ls-files -co --exclude-standard "$@" | grep -vE 'schema\.ts$|package-lock|packages\.lock' | xargs cat | grep -cvE '^\s*$'; }
tests=$(lines 'tests/*.cs' 'tests/*.ts' 'tests/*.mjs' 'web/src/*.test.ts')
all=$(lines '*.cs' '*.ts' '*.vue' '*.mjs' '*.sql' 'web/src/*.css')
echo "Tests: $tests of $all lines of code, $((100 * tests / all)) %"
