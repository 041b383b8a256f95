# Sourced by what starts the service. Some two thirds of a start is reading, linking and compiling classes, the same each
# time; the Java that runs it can keep that in a file. It is made once for this version and this Java by a start for
# practice, in an installation of its own that is thrown away.

# Sets QUICKER to the option that has Java use the file; to nothing where there is none.
#   quicker_start JAVA JAR DATA
quicker_start() {
  QUICKER=
  [ "${TIDY_LANTERN_QUICKER_START:-yes}" = yes ] || return 0
  quicker_folder="$3/quicker-start"
  quicker_file="$quicker_folder/classes"
  quicker_java="$("$1" -version 2>&1)"
  quicker_for="$({ echo "$quicker_java $2 ${JAVA_OPTIONS:-}"; ls -ln "$2" "$(dirname "$2")/lib"; } | cksum)"
  if [ "$(cat "$quicker_folder/made-for" 2>/dev/null)" != "$quicker_for" ]; then
    quicker_practise "$1" "$2" || return 0
  fi
  # What Java could not make is not tried again until one of the two changes.
  [ ! -s "$quicker_file" ] || QUICKER="$(quicker_option use)$quicker_file"
}

# From 25 on Java keeps what it found out about the code as well; before, its classes alone.
quicker_option() {
  quicker_version="$(echo "$quicker_java" | sed -n 's/.*version "\([0-9]*\).*/\1/p')"
  case "$1$([ "${quicker_version:-0}" -ge 25 ] && echo 25)" in
    make25) echo "-XX:AOTCacheOutput=" ;;
    use25) echo "-XX:AOTCache=" ;;
    make) echo "-XX:ArchiveClassesAtExit=" ;;
    use) echo "-XX:SharedArchiveFile=" ;;
  esac
}

# Fails where there is no room for the file, so that it is tried again once there is.
quicker_practise() {
  quicker_free="$(df -Pk "$(dirname "$quicker_folder")" | awk 'NR == 2 { print $4 }')"
  [ "${quicker_free:-0}" -ge 1000000 ] || return 1
  printf '%s\n' "Starting once for practice, so that this start and later ones take half as long." >&2
  rm -rf "$quicker_folder"
  mkdir -p "$quicker_folder/practice"
  # It asks the same several times over, and each time it must be reckoned.
  (
    unset TIDY_LANTERN_OWNER TIDY_LANTERN_PASSWORD TIDY_LANTERN_ACCESS_KEY
    export TIDY_LANTERN_DATA="$quicker_folder/practice"
    # shellcheck disable=SC2086
    "$1" --enable-native-access=ALL-UNNAMED ${JAVA_OPTIONS:-} "$(quicker_option make)$quicker_file" -jar "$2" \
      --tidy-lantern.practice=true --tidy-lantern.answers-per-second=0 --tidy-lantern.kept-answers=0 \
      --server.address=127.0.0.1 --server.port=0
  ) >"$quicker_folder/practice.log" 2>&1 || rm -f "$quicker_file"
  rm -rf "$quicker_folder/practice"
  printf '%s\n' "$quicker_for" >"$quicker_folder/made-for"
}
