package tidylantern.server.source;

import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Settings;
import tidylantern.server.source.reading.CrawlReader;
import tidylantern.server.source.reading.FeedReader;
import tidylantern.server.source.reading.FileReader;
import tidylantern.server.source.reading.Reading;
import tidylantern.server.source.reading.SourceProblem;
import tidylantern.server.source.reading.SourceSettings;
import tidylantern.server.source.reading.WebFetcher;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Reads sources of every kind, record by record. */
@Component
class SourceReaders {
    private static final WebFetcher.Limits FILE =
            new WebFetcher.Limits(Uploads.MOST_BYTES, Duration.ofMinutes(10), false);
    private static final WebFetcher.Limits FEED = new WebFetcher.Limits(20_000_000, Duration.ofSeconds(60), false);

    private final WebFetcher fetcher;
    private final Uploads uploads;
    private final SourceSecrets secrets;
    private final Path fetched;
    private final JsonMapper json;

    SourceReaders(WebFetcher fetcher, Uploads uploads, SourceSecrets secrets, Settings settings, JsonMapper json) {
        this.fetcher = fetcher;
        this.uploads = uploads;
        this.secrets = secrets;
        this.fetched = settings.data().resolve("uploads");
        this.json = json.rebuild()
                .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
                .build();
    }

    /** Breaks off what a thread is reading from the web just now. */
    void abort(Thread reading) {
        fetcher.abort(reading);
    }

    /** Breaks off whatever is being read from the web; nothing can be read afterwards. */
    void stop() {
        fetcher.stop();
    }

    /**
     * Reads until the source ends or the reading has enough.
     *
     * @return how the file was read; null for other kinds
     * @throws SourceProblem if it cannot be read at all, or not to its end
     */
    FileReader.@Nullable Form read(SiteKey site, SourceSettings settings, CrawlReader.Memory memory, Reading reading)
            throws SourceProblem {
        SourceSecrets.Revealed revealed = secrets.reveal(site, settings);
        try {
            return readWhole(site, revealed.settings(), memory, SourceSecrets.untold(reading, revealed.secrets()));
        } catch (SourceProblem problem) {
            throw new SourceProblem(
                    AddressSecrets.without(String.valueOf(problem.getMessage()), revealed.secrets()), problem);
        }
    }

    private FileReader.@Nullable Form readWhole(
            SiteKey site, SourceSettings settings, CrawlReader.Memory memory, Reading reading) throws SourceProblem {
        return switch (settings) {
            case SourceSettings.File file -> readFile(site, file, reading);
            case SourceSettings.Feed feed -> {
                new FeedReader(fetcher.fetch(URI.create(feed.address()), WebFetcher.Known.NOTHING, FEED)).read(reading);
                yield null;
            }
            case SourceSettings.Crawl crawl -> {
                new CrawlReader(crawl, fetcher, json, memory).read(reading);
                yield null;
            }
        };
    }

    private FileReader.Form readFile(SiteKey site, SourceSettings.File settings, Reading reading) throws SourceProblem {
        if (settings.upload() != null) {
            return read(uploads.file(site, settings.upload()), settings, reading);
        }
        Path file = null;
        try {
            Files.createDirectories(fetched);
            file = Files.createTempFile(fetched, "fetched-", "");
            URI address = URI.create(String.valueOf(settings.address()));
            try (OutputStream out = Files.newOutputStream(file)) {
                WebFetcher.Fetched answer = fetcher.fetch(address, WebFetcher.Known.NOTHING, FILE, out);
                if (!answer.ok()) {
                    throw new SourceProblem("%s answers with status %d. Check the address, or try again later."
                            .formatted(address, answer.status()));
                }
            }
            return read(file, settings, reading);
        } catch (IOException failure) {
            throw new SourceProblem("The file could not be stored: " + failure.getMessage(), failure);
        } finally {
            delete(file);
        }
    }

    private FileReader.Form read(Path file, SourceSettings.File settings, Reading reading) throws SourceProblem {
        FileReader reader = new FileReader(file, settings, json);
        FileReader.Form form = reader.form();
        reader.read(reading);
        return form;
    }

    private static void delete(@Nullable Path file) throws SourceProblem {
        try {
            if (file != null) {
                Files.deleteIfExists(file);
            }
        } catch (IOException failure) {
            throw new SourceProblem("A fetched file could not be deleted: " + failure.getMessage(), failure);
        }
    }
}
