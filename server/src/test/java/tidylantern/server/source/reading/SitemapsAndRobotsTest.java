package tidylantern.server.source.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.URI;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SitemapsAndRobotsTest {
    /**
     * sitemaps.org, protocol page, "Sample XML Sitemap" with several addresses, from memory of its text; the host is
     * the test's.
     */
    private static final String SAMPLE = """
            <?xml version="1.0" encoding="UTF-8"?>
            <urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">
               <url><loc>{site}/</loc><lastmod>2005-01-01</lastmod><changefreq>monthly</changefreq><priority>0.8</priority></url>
               <url><loc>{site}/catalog?item=12&amp;desc=vacation_hawaii</loc><changefreq>weekly</changefreq></url>
               <url><loc>{site}/catalog?item=73&amp;desc=vacation_new_zealand</loc><lastmod>2004-12-23</lastmod><changefreq>weekly</changefreq></url>
               <url><loc>{site}/catalog?item=74&amp;desc=vacation_newfoundland</loc><lastmod>2004-12-23T18:00:15+00:00</lastmod><priority>0.3</priority></url>
               <url><loc>{site}/catalog?item=83&amp;desc=vacation_usa</loc><lastmod>2004-11-23</lastmod></url>
            </urlset>""";
    /** sitemaps.org, protocol page, "Sample XML Sitemap Index", likewise. */
    private static final String INDEX = """
            <?xml version="1.0" encoding="UTF-8"?>
            <sitemapindex xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">
               <sitemap><loc>{site}/sitemap1.xml.gz</loc><lastmod>2004-10-01T18:23:17+00:00</lastmod></sitemap>
               <sitemap><loc>{site}/sitemap2.xml.gz</loc><lastmod>2005-01-01</lastmod></sitemap>
            </sitemapindex>""";

    private WebSite site;
    private WebFetcher fetcher;
    private final Told told = new Told();

    @BeforeEach
    void start() {
        site = new WebSite();
        fetcher = new WebFetcher(ReadingSettings.allowing(site.host()));
    }

    @AfterEach
    void stop() {
        fetcher.stop();
        site.close();
    }

    private Set<URI> pages(String path) throws SourceProblem {
        return new Sitemaps(fetcher).pages(site.uri(path), 1_000, told);
    }

    private void packed(String path, String text) {
        site.answer(
                path,
                exchange -> WebSite.send(
                        exchange,
                        200,
                        "application/gzip",
                        WebSite.gzip(text.replace("{site}", site.address())),
                        Map.of()));
    }

    @Test
    void theSampleOfSitemapsOrgIsReadInItsOrder() throws Exception {
        site.has("/sitemap.xml", "application/xml", SAMPLE);
        assertThat(pages("/sitemap.xml"))
                .containsExactly(
                        site.uri("/"),
                        site.uri("/catalog?item=12&desc=vacation_hawaii"),
                        site.uri("/catalog?item=73&desc=vacation_new_zealand"),
                        site.uri("/catalog?item=74&desc=vacation_newfoundland"),
                        site.uri("/catalog?item=83&desc=vacation_usa"));
    }

    @Test
    void theSampleIndexLeadsToItsPackedFiles() throws Exception {
        site.has("/index.xml", "application/xml", INDEX);
        packed("/sitemap1.xml.gz", SAMPLE);
        packed(
                "/sitemap2.xml.gz",
                "<urlset xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\"><url><loc>{site}/two</loc></url><url><loc>{site}/</loc></url></urlset>");
        assertThat(pages("/index.xml")).hasSize(6).contains(site.uri("/two"));
    }

    @Test
    void addressesOfOtherHostsArePassedOverAndSaid() throws Exception {
        site.has("/sitemap.xml", "application/xml", SAMPLE.replaceFirst("\\{site}", "http://www.example.com"));
        site.has(
                "/index.xml",
                "application/xml",
                "<sitemapindex xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\"><sitemap><loc>https://other.example/s.xml</loc></sitemap><sitemap><loc>{site}/sitemap.xml</loc></sitemap></sitemapindex>");
        assertThat(pages("/index.xml")).hasSize(4);
        assertThat(told.notes).containsExactly("2 addresses of the sitemap are of other sites, and were passed over.");
    }

    @Test
    void anIndexThatNamesItselfEnds() throws Exception {
        site.has(
                "/index.xml",
                "application/xml",
                "<sitemapindex xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\"><sitemap><loc>{site}/index.xml</loc></sitemap></sitemapindex>");
        assertThat(pages("/index.xml")).isEmpty();
        assertThat(site.asked()).containsExactly("/index.xml");
    }

    @Test
    void entitiesPagesAndWhatIsMissingAreSaid() {
        site.has(
                "/xxe.xml",
                "application/xml",
                "<!DOCTYPE urlset [<!ENTITY x SYSTEM \"file:///etc/passwd\">]><urlset xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\"><url><loc>&x;</loc></url></urlset>");
        site.has("/page", "text/html", "<!doctype html><title>A page</title>");
        site.status("/trouble.xml", 500);
        assertThatThrownBy(() -> pages("/xxe.xml"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("document type");
        assertThatThrownBy(() -> pages("/page"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("stands a page, no sitemap");
        assertThatThrownBy(() -> pages("/none.xml"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("status 404");
        assertThatThrownBy(() -> pages("/trouble.xml"))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("status 500");
    }

    /**
     * RFC 9309, section 5.1: its simple example, from memory of its text; each robot's part as this service's own,
     * since it reads its own part or that of all.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "* | /publications/a | true",
                "* | /example/page.html | false",
                "* | /picture.gif | false",
                "* | /elsewhere | true",
                "foobot | /example/page.html | true",
                "foobot | /example/allowed.gif | true",
                "foobot | /publications/a | false",
                "bazbot | /example/page.html | false",
                "bazbot | /example/other.html | true",
                "quxbot | /example/page.html | true"
            })
    void theSimpleExampleOfRfc9309(String robot, String path, boolean allowed) throws Exception {
        String example = """
                User-Agent: *
                Disallow: *.gif$
                Disallow: /example/
                Allow: /publications/

                User-Agent: foobot
                Disallow:/
                Allow:/example/page.html
                Allow:/example/allowed.gif

                User-Agent: barbot
                User-Agent: bazbot
                Disallow: /example/page.html

                User-Agent: quxbot
                """;
        site.has("/robots.txt", "text/plain", robot.equals("*") ? example : example.replace(robot, WebFetcher.ROBOT));
        assertThat(Robots.of(site.uri("/"), fetcher).allows(site.uri(path))).isEqualTo(allowed);
    }

    /** RFC 9309, section 5.2: the longest match wins. */
    @Test
    void theLongestMatchWins() throws Exception {
        site.has(
                "/robots.txt",
                "text/plain",
                "User-Agent: TidyLantern\nAllow: /example/page/\nDisallow: /example/page/disallowed.gif\n");
        Robots robots = Robots.of(site.uri("/"), fetcher);
        assertThat(robots.allows(site.uri("/example/page/disallowed.gif"))).isFalse();
        assertThat(robots.allows(site.uri("/example/page/other.gif"))).isTrue();
    }

    /** RFC 9309, section 2.3.1: what is unavailable (4xx) allows all, what is unreachable (5xx) nothing. */
    @Test
    void aMissingFileAllowsAllAndAFailingOneNothing() throws Exception {
        assertThat(Robots.of(site.uri("/"), fetcher).allows(site.uri("/any"))).isTrue();
        site.status("/robots.txt", 503);
        assertThatThrownBy(() -> Robots.of(site.uri("/"), fetcher))
                .isInstanceOf(SourceProblem.class)
                .hasMessageContaining("status 503");
    }

    @Test
    void theCrawlDelayIsKeptWithinReason() throws Exception {
        site.has("/robots.txt", "text/plain", "User-agent: *\nCrawl-delay: 2\nDisallow:\n");
        assertThat(Robots.of(site.uri("/"), fetcher).pause()).isEqualTo(2_000);
        site.has("/robots.txt", "text/plain", "User-agent: *\nCrawl-delay: 86400\nDisallow:\n");
        assertThat(Robots.of(site.uri("/"), fetcher).pause()).isLessThanOrEqualTo(30_000);
    }
}
