# Shared by the tests beside it: one line for each promise, "ok" or "FAIL", and how many failed.
# shellcheck shell=bash
failed=0

holds() { # SENTENCE COMMAND…
  local sentence=$1; shift
  if "$@"; then say "ok    $sentence"; else say "FAIL  $sentence"; failed=$((failed + 1)); fi
}
