# Sourced by what starts the service. Content that is taken in and laid into an index gives way to visitors: its threads
# have the lowest priority, which Java heeds on Linux only when it is told to.

# The lowest priority as a niceness (nice(7)): a tenth of a processor that visitors want, all of one that they do not.
GIVING_WAY="-XX:ThreadPriorityPolicy=1 -XX:JavaPriority1_To_OSPriority=10"
# Java warns everybody but root that it might not be allowed to; lowering a priority is allowed to everybody.
[ "$(id -u)" = 0 ] || GIVING_WAY="$GIVING_WAY -XX:-PrintWarnings"
