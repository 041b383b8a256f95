package tidylantern.server.source;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;
import tidylantern.server.platform.Settings;
import tidylantern.server.source.reading.SourceProblem;
import tidylantern.server.source.reading.WebFetcher;

/** Files that owners upload; each is known by a token, and belongs to a site. */
@Component
class Uploads {
    static final long MOST_BYTES = 1_000_000_000;

    private final Path folder;
    private final SecureRandom random = new SecureRandom();

    Uploads(Settings settings) {
        this.folder = settings.data().resolve("uploads");
    }

    /** @param bytes of the file */
    record Upload(String upload, long bytes) {}

    Upload keep(SiteKey site, InputStream body) {
        byte[] token = new byte[12];
        random.nextBytes(token);
        String name = HexFormat.of().formatHex(token);
        Path file = folder.resolve(site.value()).resolve(name);
        try {
            Files.createDirectories(file.getParent());
            long all = 0;
            try (OutputStream out = Files.newOutputStream(file)) {
                byte[] some = new byte[1 << 16];
                for (int n = body.read(some); n >= 0; n = body.read(some)) {
                    all += n;
                    if (all > MOST_BYTES) {
                        throw new Refusal(
                                HttpStatus.CONTENT_TOO_LARGE,
                                null,
                                "The file has more than %s. Split it, or push the items."
                                        .formatted(WebFetcher.size(MOST_BYTES)));
                    }
                    out.write(some, 0, n);
                }
            } catch (IOException | RuntimeException failure) {
                Files.deleteIfExists(file);
                throw failure;
            }
            if (all == 0) {
                Files.deleteIfExists(file);
                throw Refusal.bad(null, "The file is empty. Choose another.");
            }
            return new Upload(name, all);
        } catch (IOException brokenOff) {
            throw Refusal.bad(
                    null, "The file did not arrive whole (%s). Send it again.".formatted(brokenOff.getMessage()));
        }
    }

    /** @throws SourceProblem if there is no such file any more */
    Path file(SiteKey site, String token) throws SourceProblem {
        Path file = folder.resolve(site.value()).resolve(token);
        if (!isToken(token) || !Files.isRegularFile(file)) {
            throw new SourceProblem("The uploaded file is no longer here. Upload it again.");
        }
        return file;
    }

    /** Sets the time of a site's files, but for some. */
    void touchUnless(SiteKey site, Set<String> tokens, Instant time) {
        for (Path file : files(folder.resolve(site.value()), tokens)) {
            try {
                Files.setLastModifiedTime(file, FileTime.from(time));
            } catch (IOException failure) {
                throw new UncheckedIOException("setting the time of an uploaded file", failure);
            }
        }
    }

    /** Deletes the files of all sites that are older, but for some. */
    void deleteUnless(Set<String> tokens, Instant older) {
        try (Stream<Path> sites = Files.isDirectory(folder) ? Files.list(folder) : Stream.<Path>of()) {
            for (Path file : sites.filter(Files::isDirectory)
                    .flatMap(site -> files(site, tokens).stream())
                    .toList()) {
                if (Files.getLastModifiedTime(file).toInstant().isBefore(older)) {
                    Files.deleteIfExists(file);
                }
            }
        } catch (IOException failure) {
            throw new UncheckedIOException("deleting uploaded files", failure);
        }
    }

    private static List<Path> files(Path site, Set<String> unless) {
        try (Stream<Path> files = Files.isDirectory(site) ? Files.list(site) : Stream.<Path>of()) {
            return files.filter(file -> isToken(file.getFileName().toString())
                            && !unless.contains(file.getFileName().toString()))
                    .toList();
        } catch (IOException failure) {
            throw new UncheckedIOException("looking at uploaded files", failure);
        }
    }

    private static boolean isToken(String name) {
        return name.matches("[0-9a-f]{24}");
    }
}
