# Sourced by start and test: installs what is missing, says the exact line to run where it may not.
say() { printf '%s\n' "$*" >&2; }

as_root() { if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi; }

need_node() {
  command -v node >/dev/null || { say "Node.js 20.19 or newer is needed and was not found."; exit 1; }
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' \
    || { say "Node.js 20.19 or newer is needed; this is $(node -v)."; exit 1; }
}

# need_debian COMMAND PACKAGE
need_debian() {
  command -v "$1" >/dev/null || [ -x "/usr/sbin/$1" ] && return 0
  say "Installing Debian's $2 …"
  local log; log=$(mktemp)
  if { as_root apt-get update -qq && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "$2"; } >"$log" 2>&1; then rm -f "$log"; return 0; fi
  tail -n 3 "$log" >&2; rm -f "$log"
  say "Could not install $2. Run this once, then start again:"
  say "  sudo apt-get update && sudo apt-get install -y $2"
  exit 1
}

need_modules() {
  local want have
  want=$(sha256sum package-lock.json | cut -d' ' -f1)
  have=$(cat node_modules/.installed-for 2>/dev/null || true)
  [ "$want" = "$have" ] && return 0
  say "Installing packages …"
  PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1 npm ci --loglevel=error >&2
  printf '%s' "$want" > node_modules/.installed-for
}

need_build() {
  local want have
  want=$(find core/src web package-lock.json -path web/dist -prune -o -type f -not -path '*/node_modules/*' -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
  have=$(cat web/dist/.built-from 2>/dev/null || true)
  [ "$want" = "$have" ] && return 0
  say "Building the interface …"
  npm run --silent build >&2
  printf '%s' "$want" > web/dist/.built-from
}
