package tidylantern.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;

/**
 * What other machines of the same host took of this one's processors, by proc_stat(5): a wait that no program here can
 * do anything about. Nothing where the system does not say.
 *
 * @param stolen in ticks since the machine started
 * @param all of its processors' ticks
 */
record StolenTime(long stolen, long all) {
    private static final Path SAID = Path.of("/proc/stat");
    private static final int STEAL = 7;
    /** Guests' time after it is part of the users'. */
    private static final int SINGLE_KINDS = 8;

    static StolenTime now() throws IOException {
        if (!Files.isReadable(SAID)) {
            return new StolenTime(0, 1);
        }
        String[] line = Files.readAllLines(SAID).getFirst().split(" +");
        long[] ticks = Arrays.stream(line, 1, 1 + SINGLE_KINDS)
                .mapToLong(Long::parseLong)
                .toArray();
        return new StolenTime(ticks[STEAL], Arrays.stream(ticks).sum());
    }

    /** The share of the time since then. */
    double shareSince(StolenTime begun) {
        return (double) (stolen - begun.stolen) / Math.max(1, all - begun.all);
    }
}
