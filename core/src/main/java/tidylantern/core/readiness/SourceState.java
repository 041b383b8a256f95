package tidylantern.core.readiness;

import java.time.Duration;
import org.jspecify.annotations.Nullable;

/**
 * How a source stands.
 *
 * @param number by which it is found
 * @param problem why its last run failed, or what it asks; null where that went well
 * @param sinceRun since it ran last; null where it never did
 * @param between how long its runs are apart; null where it runs by hand alone
 * @param changes whether it can bring anything new by itself, as an address can and an uploaded file cannot
 */
public record SourceState(
        long number,
        String name,
        @Nullable String problem,
        @Nullable Duration sinceRun,
        @Nullable Duration between,
        boolean changes) {}
