package tidylantern.server.operation;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.PrivateFiles;
import tidylantern.server.platform.Settings;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the service knew last of its database, kept beside the indexes: everything that visitors' answers need but the
 * items themselves, which the indexes hold, and how many items there were. When the database is gone, cannot be read,
 * or is older than this, the service does not begin anew without a word: it says what is missing, answers visitors from
 * what it has, and changes nothing, until the operator brings a copy back or says that the loss is accepted.
 */
@Component
public class Standby {
    private static final Logger LOG = LoggerFactory.getLogger(Standby.class);
    private static final JsonMapper JSON = new JsonMapper();

    private final Path folder;
    private final Path file;
    private volatile List<String> missing = List.of();

    Standby(Settings settings) {
        this.folder = settings.data().resolve("index");
        this.file = folder.resolve("last-known.json");
    }

    /**
     * @param lastChange number of the site's last change
     * @param items of the site
     */
    record SiteState(SiteKey site, String name, long lastChange, long items) {}

    /**
     * @param tables rows by the names of their tables, each by the names of its columns, in an order in which they can
     *     be put back
     */
    record Known(List<SiteState> sites, Map<String, List<Map<String, @Nullable String>>> tables) {}

    /** Whether the database is not what it was, so that nothing may be changed. */
    public boolean active() {
        return !missing.isEmpty();
    }

    /** What is missing, in words for whoever runs the service; empty if nothing is. */
    public List<String> missing() {
        return missing;
    }

    void begin(List<String> missing) {
        this.missing = List.copyOf(missing);
        LOG.error("""

                THE DATABASE IS NOT WHAT IT WAS.
                {}
                Visitors are answered from the search indexes, as far as those go. Nothing is changed, and nobody can sign in for the first time.
                Bring a copy back (bin/restore COPY), or, if what is missing is to be given up, start once with TIDY_LANTERN_ACCEPT_LOSS=true.
                """, String.join("\n", missing));
    }

    void end() {
        missing = List.of();
    }

    /** Null where nothing was known, or it cannot be read. */
    @Nullable Known read() {
        if (!Files.isRegularFile(file)) {
            return null;
        }
        try {
            return JSON.readValue(Files.readAllBytes(file), Known.class);
        } catch (IOException | JacksonException unreadable) {
            LOG.warn("What was known last cannot be read, so the database is taken as it is", unreadable);
            return null;
        }
    }

    void write(Known known) throws IOException {
        Files.createDirectories(folder);
        Path next = PrivateFiles.make(folder, "last-known-");
        try {
            Files.write(next, JSON.writeValueAsBytes(known));
            Files.move(next, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            Files.deleteIfExists(next);
        }
    }

    void forget() throws IOException {
        Files.deleteIfExists(file);
    }

    /** What of the known sites a database lacks; none if it is as new or newer. */
    static List<String> missing(List<SiteState> known, Map<SiteKey, SiteState> now) {
        List<String> missing = new ArrayList<>();
        for (SiteState was : known) {
            SiteState is = now.get(was.site());
            if (is == null) {
                missing.add("The site \"%s\" (%s) with %,d items is not in it."
                        .formatted(was.name(), was.site(), was.items()));
            } else if (is.lastChange() < was.lastChange()
                    || (is.lastChange() == was.lastChange() && is.items() < was.items())) {
                missing.add(
                        "The site \"%s\" (%s) is older in it: it has %,d items of change %,d, where there were %,d items of change %,d."
                                .formatted(
                                        was.name(),
                                        was.site(),
                                        is.items(),
                                        is.lastChange(),
                                        was.items(),
                                        was.lastChange()));
            }
        }
        return missing;
    }
}
