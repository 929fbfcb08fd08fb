# What ./start and ./test need on a fresh Debian 12 with Node 20; to be sourced from the project's root.

need_node() {
  command -v node >/dev/null || { echo "Node 20 or newer is missing." >&2; exit 1; }
  node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' ||
    { echo "Node 20.19 or newer is needed; this is $(node --version)." >&2; exit 1; }
}

# Installs Debian packages as root; an ordinary user is told which.
need_debian() {
  if [ "$(id -u)" -ne 0 ]; then
    echo "These Debian packages are missing: $*" >&2
    echo "Install them once: sudo apt-get install --no-install-recommends $*" >&2
    exit 1
  fi
  echo "Installing $* …"
  apt-get update -qq >/dev/null
  DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null
}

need_postgres() {
  ls /usr/lib/postgresql/*/bin/postgres >/dev/null 2>&1 && return
  # No cluster of Debian's own on port 5432.
  if [ "$(id -u)" -eq 0 ]; then
    mkdir -p /etc/postgresql-common/createcluster.d
    echo "create_main_cluster = false" >/etc/postgresql-common/createcluster.d/no-main.conf
  fi
  need_debian postgresql
}

need_chromium() {
  [ -x /usr/bin/chromium ] || need_debian chromium
}

# npm ci only when the lock file is not the one last installed.
need_packages() {
  local stamp=node_modules/.lock-installed
  cmp -s package-lock.json "$stamp" && return
  echo "Installing npm packages …"
  npm ci --no-audit --no-fund --loglevel=error
  cp package-lock.json "$stamp"
}
