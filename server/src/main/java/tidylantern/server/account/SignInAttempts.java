package tidylantern.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.Refusal;

/**
 * Makes guessing passwords slow. Each try is counted before it is looked at, however many come at once: by the name,
 * and by where it comes from. Tries from a browser that an owner signed in with before are counted by themselves, so
 * that a stranger who guesses at a name locks nobody out.
 */
@Component
class SignInAttempts {
    private static final int MOST_OF_A_NAME = 10;
    private static final int MOST_OF_A_CLIENT = 50;
    private static final Duration WAIT = Duration.ofMinutes(15);
    private static final int MOST_KEPT = 20_000;

    private record Tries(int times, Instant first) {}

    private final Clock clock;
    private final Map<String, Tries> tries = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Tries> eldest) {
            return size() > MOST_KEPT;
        }
    };

    SignInAttempts(Clock clock) {
        this.clock = clock;
    }

    /**
     * Counts a try.
     *
     * @param name of the owner
     * @param client where it comes from
     * @param knownBrowser an owner's browser, told by what it was given before; null for any other
     * @throws Refusal with status 429 if there were too many
     */
    synchronized void begin(String name, String client, @Nullable String knownBrowser) {
        boolean tooMany;
        if (knownBrowser != null) {
            tooMany = isOver("browser " + knownBrowser, MOST_OF_A_NAME);
        } else {
            // Both are counted, whichever is over.
            boolean ofClient = isOver("client " + client, MOST_OF_A_CLIENT);
            boolean ofName = isOver("name " + name, MOST_OF_A_NAME);
            tooMany = ofClient || ofName;
        }
        if (tooMany) {
            throw new Refusal(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "password",
                    "Too many wrong passwords. Try again in a quarter of an hour, or from a browser in which you were signed in before.");
        }
    }

    private boolean isOver(String key, int most) {
        Instant now = clock.instant();
        Tries before = tries.get(key);
        Tries after = before == null || before.first().plus(WAIT).isBefore(now)
                ? new Tries(1, now)
                : new Tries(before.times() + 1, before.first());
        tries.put(key, after);
        return after.times() > most;
    }

    /** It was right: the tries of that name, or browser, are forgotten, and one less counts where it came from. */
    synchronized void right(String name, String client, @Nullable String knownBrowser) {
        tries.remove(knownBrowser != null ? "browser " + knownBrowser : "name " + name);
        tries.computeIfPresent(
                "client " + client, (key, before) -> new Tries(Math.max(0, before.times() - 1), before.first()));
    }
}
