package tidylantern.server.source.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import com.sun.net.httpserver.HttpServer;
import com.sun.net.httpserver.SimpleFileServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/**
 * A crawl of a website that nobody of this project wrote: the English edition of The Debian Administrator's Handbook,
 * from the package debian-handbook, served from where the package puts it. Its canonical links name another host.
 */
class HandbookCrawlTest {
    private static final Path PAGES = Path.of("/usr/share/doc/debian-handbook/html/en-US");
    private static final Told TOLD = new Told();
    private static @Nullable HttpServer server;

    @BeforeAll
    static void crawl() throws Exception {
        assumeThat(PAGES).as("the package debian-handbook").isDirectory();
        HttpServer started = SimpleFileServer.createFileServer(
                new InetSocketAddress(InetAddress.getLoopbackAddress(), 0),
                PAGES.getParent(),
                SimpleFileServer.OutputLevel.NONE);
        started.start();
        server = started;
        String host = "localhost:" + started.getAddress().getPort();
        WebFetcher fetcher = new WebFetcher(ReadingSettings.allowing(host));
        try {
            SourceSettings.Crawl settings = new SourceSettings.Crawl(
                    "http://" + host + "/en-US/index.html",
                    SourceSettings.Way.LINKS,
                    "/en-US/",
                    0,
                    null,
                    null,
                    List.of(),
                    List.of());
            new CrawlReader(settings, fetcher, new JsonMapper(), CrawlReader.Memory.NONE).read(TOLD);
        } finally {
            fetcher.stop();
        }
    }

    @AfterAll
    static void stop() {
        if (server != null) {
            server.stop(0);
        }
    }

    private static String file(Map<String, @Nullable Object> record) {
        String address = String.valueOf(record.get("address"));
        return address.substring(address.lastIndexOf('/') + 1);
    }

    private static Document page(Map<String, @Nullable Object> record) {
        try {
            return Jsoup.parse(PAGES.resolve(file(record)).toFile());
        } catch (IOException failure) {
            throw new java.io.UncheckedIOException(failure);
        }
    }

    @Test
    void everyPageIsFoundOnceUnderItsOwnAddress() throws IOException {
        try (Stream<Path> files = Files.list(PAGES)) {
            TreeSet<String> there = files.map(path -> path.getFileName().toString())
                    .filter(name -> name.endsWith(".html"))
                    .collect(Collectors.toCollection(TreeSet::new));
            assertThat(there).hasSize(127);
            assertThat(TOLD.records.stream().map(HandbookCrawlTest::file).toList())
                    .as("canonical links to another host are not followed, and are no ids")
                    .containsExactlyInAnyOrderElementsOf(there);
        }
        assertThat(TOLD.refusals).isEmpty();
        assertThat(TOLD.places).allMatch(address -> address.startsWith("http://localhost:"));
    }

    @Test
    void titlesAreThoseOfThePages() {
        assertThat(TOLD.records).allSatisfy(record -> assertThat(
                        String.valueOf(record.get("title")).replace('\u00a0', ' '))
                .isEqualTo(page(record).title().replace('\u00a0', ' ')));
        assertThat(TOLD.records)
                .extracting(record -> String.valueOf(record.get("title")))
                .contains("6.4. The apt-file Command");
        assertThat(TOLD.records)
                .filteredOn(record -> record.get("description") != null)
                .as("one of each language's pages has one")
                .hasSize(1);
    }

    @Test
    void noMenuStandsInTheMainText() {
        assertThat(TOLD.records).allSatisfy(record -> assertThat(String.valueOf(record.get("text"))
                        .lines()
                        .map(String::strip)
                        .toList())
                .as(file(record))
                .doesNotContain(
                        "Prev", "Next", "Up", "Home", "Download the ebook", "Back to top", "Documentation Site"));
    }

    @Test
    void theParagraphsOfTheBookStandInTheMainText() {
        int all = 0;
        int kept = 0;
        for (Map<String, @Nullable Object> record : TOLD.records) {
            String text = plain(String.valueOf(record.get("text")));
            for (Element paragraph : Objects.requireNonNull(page(record).body()).select("div.para, pre.screen")) {
                // Those that hold no other block: a text is compared whole.
                if (paragraph.select("div.para, pre, ul, ol, table, dl").size() == 1
                        && paragraph.text().length() > 40) {
                    all++;
                    kept += text.contains(plain(paragraph.text())) ? 1 : 0;
                }
            }
        }
        assertThat(all).isGreaterThan(1_500);
        assertThat((double) kept / all).as("%d of %d paragraphs", kept, all).isGreaterThan(.99);
    }

    private static String plain(String text) {
        return text.replaceAll("[^\\p{L}\\p{N}]+", "");
    }
}
