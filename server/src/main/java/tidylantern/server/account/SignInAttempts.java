package tidylantern.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.Refusal;

/** Makes guessing passwords slow: after ten wrong ones for a name, that name waits a quarter of an hour. */
@Component
class SignInAttempts {
    private static final int MOST_WRONG = 10;
    private static final Duration WAIT = Duration.ofMinutes(15);
    private static final int MOST_NAMES = 10_000;

    private record Wrong(int times, Instant last) {}

    private final Clock clock;
    private final Map<String, Wrong> byName = new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Wrong> eldest) {
            return size() > MOST_NAMES;
        }
    };

    SignInAttempts(Clock clock) {
        this.clock = clock;
    }

    synchronized void mayTry(String name) {
        Wrong wrong = byName.get(name);
        if (wrong != null && wrong.times() >= MOST_WRONG && wrong.last().plus(WAIT).isAfter(clock.instant())) {
            throw new Refusal(HttpStatus.TOO_MANY_REQUESTS, "password", "Too many wrong passwords for this name. Try again in a quarter of an hour.");
        }
    }

    synchronized void wrong(String name) {
        Wrong before = byName.getOrDefault(name, new Wrong(0, Instant.EPOCH));
        int times = before.last().plus(WAIT).isAfter(clock.instant()) ? before.times() : 0;
        byName.put(name, new Wrong(times + 1, clock.instant()));
    }

    synchronized void right(String name) {
        byName.remove(name);
    }
}
