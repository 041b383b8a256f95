# Sourced by the commands beside it: finds or installs what they need, and builds what is stale. The network is needed
# only where something is missing.
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
FEWEST_JAVA=21
FEWEST_NODE=20

say() { printf '%s\n' "· $*" >&2; }
fail() { printf '%s\n' "$*" >&2; exit 1; }

# Installs Debian packages where this user may; says what to do where not.
install_packages() {
  if command -v apt-get >/dev/null && [ "$(id -u)" = 0 ]; then
    say "installing $* (once)"
    { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@"; } >"${TMPDIR:-/tmp}/tidy-lantern-apt.log" 2>&1 && return 0
    say "apt-get could not install $*; its log is ${TMPDIR:-/tmp}/tidy-lantern-apt.log"
    return 1
  fi
  return 1
}

java_version() { "$1" -version 2>&1 | sed -n '1s/.*version "\([0-9]*\).*/\1/p'; }

# Sets JAVA to a java of version 21 or later.
find_java() {
  local home version
  for home in "${JAVA_HOME:-}" /usr/lib/jvm/* /opt/java/* /opt/jdk* "$HOME"/.sdkman/candidates/java/* "$HOME"/.jdks/* /Library/Java/JavaVirtualMachines/*/Contents/Home; do
    [ -x "$home/bin/javac" ] || continue
    version="$(java_version "$home/bin/java")"
    if [ -n "$version" ] && [ "$version" -ge "$FEWEST_JAVA" ]; then
      JAVA="$home/bin/java"
      JDK_HOME="$home"
      return 0
    fi
  done
  return 1
}

need_java() {
  find_java && return
  for package in openjdk-25-jdk-headless openjdk-21-jdk-headless; do
    install_packages "$package" && find_java && return
  done
  fail "A JDK of version $FEWEST_JAVA or later is needed. Install one (a package such as openjdk-21-jdk-headless, or any vendor's build) and set JAVA_HOME to it, then run this again."
}

need_maven() {
  command -v mvn >/dev/null || install_packages maven || fail "Maven 3.8 or later is needed: install the package \"maven\", then run this again."
}

need_node() {
  local version
  command -v npm >/dev/null || install_packages nodejs npm || fail "Node $FEWEST_NODE or later with npm is needed: install it, then run this again."
  version="$(node --version | sed 's/^v\([0-9]*\).*/\1/')"
  [ "$version" -ge "$FEWEST_NODE" ] || fail "Node $FEWEST_NODE or later is needed; \`node --version\` says $(node --version). Install a later one, then run this again."
}

need_browser() {
  { command -v chromium >/dev/null && command -v chromedriver >/dev/null; } || install_packages chromium chromium-driver \
    || fail "The browser tests need Chromium and its driver: install the packages \"chromium\" and \"chromium-driver\", then run this again."
}

# Runs Maven under whichever java is the default: the build picks its own JDK by its toolchain.
maven() {
  (cd "$ROOT" && mvn --batch-mode --no-transfer-progress "$@")
}

# Builds service and demo if a source is newer than what was built last.
build_when_stale() {
  local built="$ROOT/server/target/.built"
  if [ -f "$built" ] && [ -d "$ROOT/demo/target/lib" ] \
    && [ -z "$(find "$ROOT"/pom.xml "$ROOT"/{core,server,demo,web}/pom.xml "$ROOT"/{core,server,demo}/src/main "$ROOT"/demo/content "$ROOT"/demo/queries.tsv "$ROOT"/web/src "$ROOT"/texts "$ROOT"/web/*.json "$ROOT"/web/*.ts -newer "$built" -type f ! -name api.d.ts -print -quit)" ]; then
    return
  fi
  say "building (the first time takes a few minutes, and fetches what it needs)"
  maven --quiet -DskipTests -pl server,demo -am package || fail "The build failed; the lines above say where."
  touch "$built"
}

# Not the one of its tests.
SERVER_JAR() { ls "$ROOT"/server/target/server-*[!s].jar; }
DEMO_JAR() { ls "$ROOT"/demo/target/demo-*.jar | head -n 1; }
