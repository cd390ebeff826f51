# Progress goes to stderr: stdout belongs to what was asked for.
say() { printf '%s\n' "$*" >&2; }
complain() { printf '%s\n' "$*" >&2; }
fail() {
  complain "$*"
  exit 1
}
