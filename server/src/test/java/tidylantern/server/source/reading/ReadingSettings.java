package tidylantern.server.source.reading;

import java.nio.file.Path;
import java.util.List;
import org.springframework.util.unit.DataSize;
import tidylantern.server.platform.Settings;

/** Settings for tests of what is read from websites. */
final class ReadingSettings {
    private ReadingSettings() {}

    static Settings allowing(String... hosts) {
        return new Settings(
                Path.of("."),
                null,
                null,
                null,
                List.of(hosts),
                0,
                DataSize.ofMegabytes(1),
                DataSize.ofBytes(0),
                false,
                List.of());
    }
}
