package tidylantern.server.source.reading;

import crawlercommons.sitemaps.AbstractSiteMap;
import crawlercommons.sitemaps.SiteMap;
import crawlercommons.sitemaps.SiteMapIndex;
import crawlercommons.sitemaps.SiteMapParser;
import crawlercommons.sitemaps.UnknownFormatException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Set;
import java.util.zip.GZIPInputStream;

/** The pages that a site's sitemap names (sitemaps.org protocol 0.9): index files and gzip too. */
public final class Sitemaps {
    /** Of a sitemap, unpacked: what the protocol allows. */
    private static final int MOST_BYTES = 52_428_800;

    private static final int MOST_FILES = 500;
    private static final WebFetcher.Limits LIMITS = new WebFetcher.Limits(MOST_BYTES, Duration.ofSeconds(60), true);

    private final WebFetcher fetcher;

    public Sitemaps(WebFetcher fetcher) {
        this.fetcher = fetcher;
    }

    /** Pages of the sitemap's own site, in its order; at most so many. */
    public Set<URI> pages(URI sitemap, int most, Reading reading) throws SourceProblem {
        Set<URI> pages = new LinkedHashSet<>();
        Set<URI> seen = new HashSet<>(Set.of(sitemap));
        Deque<URI> left = new ArrayDeque<>(Set.of(sitemap));
        int elsewhere = 0;
        while (!left.isEmpty() && pages.size() < most && !reading.enough()) {
            URI at = left.removeFirst();
            AbstractSiteMap map =
                    parsed(at, fetcher.fetch(SiteAddresses.signedIn(sitemap, at), WebFetcher.Known.NOTHING, LIMITS));
            if (map instanceof SiteMapIndex index) {
                for (AbstractSiteMap one : index.getSitemaps()) {
                    URI address = SiteAddresses.tidy(one.getUrl().toString());
                    if (address == null || !SiteAddresses.sameSite(sitemap, address)) {
                        elsewhere++;
                    } else if (seen.size() < MOST_FILES && seen.add(address)) {
                        left.add(address);
                    }
                }
            } else if (map instanceof SiteMap list) {
                for (var entry : list.getSiteMapUrls()) {
                    URI address = SiteAddresses.tidy(entry.getUrl().toString());
                    if (address == null || !SiteAddresses.sameSite(sitemap, address)) {
                        elsewhere++;
                    } else if (pages.size() < most) {
                        pages.add(address);
                    } else {
                        reading.incomplete(
                                "The sitemap names more than %,d pages; the rest was not read.".formatted(most));
                        break;
                    }
                }
            }
        }
        if (elsewhere > 0) {
            reading.note("%d addresses of the sitemap are of other sites, and were passed over.".formatted(elsewhere));
        }
        return pages;
    }

    private static AbstractSiteMap parsed(URI at, WebFetcher.Fetched answer) throws SourceProblem {
        if (!answer.ok()) {
            throw new SourceProblem(
                    "The sitemap at %s answers with status %d. Check the address, or follow links instead."
                            .formatted(at, answer.status()));
        }
        byte[] body = unpacked(at, answer.body());
        String head =
                new String(body, 0, Math.min(body.length, 2_000), StandardCharsets.ISO_8859_1).toLowerCase(Locale.ROOT);
        if (head.contains("<!doctype") || head.contains("<!entity")) {
            throw new SourceProblem(
                    head.contains("<!doctype html")
                            ? "At %s stands a page, no sitemap. Check the address, or follow links instead."
                                    .formatted(at)
                            : "The sitemap at %s has a document type, which sitemaps do not need and this service does not read."
                                    .formatted(at));
        }
        try {
            // Not strict: which addresses count is decided here, by site.
            return new SiteMapParser(false).parseSiteMap(body, at.toURL());
        } catch (UnknownFormatException | IOException wrong) {
            throw new SourceProblem(
                    "What stands at %s is no sitemap (%s). Check the address, or follow links instead."
                            .formatted(at, wrong.getMessage()),
                    wrong);
        }
    }

    private static byte[] unpacked(URI at, byte[] body) throws SourceProblem {
        if (body.length < 2 || (body[0] & 0xff) != 0x1f || (body[1] & 0xff) != 0x8b) {
            return body;
        }
        try (InputStream in = new GZIPInputStream(new ByteArrayInputStream(body))) {
            byte[] unpacked = in.readNBytes(MOST_BYTES + 1);
            if (unpacked.length > MOST_BYTES) {
                throw new SourceProblem(
                        "The sitemap at %s has more than %s when unpacked.".formatted(at, WebFetcher.size(MOST_BYTES)));
            }
            return unpacked;
        } catch (IOException broken) {
            throw new SourceProblem(
                    "The sitemap at %s is packed, and broken: %s".formatted(at, broken.getMessage()), broken);
        }
    }
}
