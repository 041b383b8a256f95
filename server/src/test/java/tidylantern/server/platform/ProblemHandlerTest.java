package tidylantern.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Clock;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.util.unit.DataSize;

/** What a refusal is to whoever asked; RFC 9110, 10.2.3 for when to ask again. */
class ProblemHandlerTest {
    @TempDir
    private static Path data;

    private static @Nullable String retryAfter(Refusal refusal) {
        Settings settings =
                new Settings(data, null, null, null, null, 0, DataSize.ofBytes(0), DataSize.ofBytes(0), false, null);
        return new ProblemHandler(Clock.systemUTC(), new DiskRoom(settings))
                .refused(refusal)
                .getHeaders()
                .getFirst(HttpHeaders.RETRY_AFTER);
    }

    @Test
    void onlyWhatAPauseMendsSaysWhenToAskAgain() {
        assertThat(retryAfter(Refusal.busy("Too many ask at once."))).isEqualTo("1");
        assertThat(retryAfter(new Refusal(HttpStatus.SERVICE_UNAVAILABLE, null, "The database is not what it was.")))
                .isNull();
    }
}
