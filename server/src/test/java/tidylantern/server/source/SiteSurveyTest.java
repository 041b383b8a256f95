package tidylantern.server.source;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tidylantern.server.source.reading.WebSite;
import tools.jackson.databind.JsonNode;

/** What is found at a site's address, over HTTP, with a website that does as the test says. */
class SiteSurveyTest {
    private static WebSite web;
    private static WebSite elsewhere;
    private static RunningService service;
    private static int sites;
    private Api api;

    @BeforeAll
    static void start(@TempDir Path data) {
        web = new WebSite();
        elsewhere = new WebSite();
        service = RunningService.on(data, List.of(web.host(), elsewhere.host()));
    }

    @AfterAll
    static void stop() {
        service.close();
        web.close();
        elsewhere.close();
    }

    @BeforeEach
    void begin() {
        web.empty();
        api = service.api();
        String name = "survey " + ++sites;
        api.post("/api/owner/sites", "{\"name\":\"" + name + "\",\"address\":\"" + web.address() + "\"}");
        api.on(name.replace(' ', '-'));
    }

    private JsonNode survey() {
        Api.Answer answer = api.get(api.site() + "/survey");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static List<String> sources(JsonNode survey) {
        return StreamSupport.stream(survey.path("sources").spliterator(), false)
                .map(one -> "%s %s %d %s %s"
                        .formatted(
                                one.path("settings").path("kind").asString(),
                                one.path("title").asString(),
                                one.path("items").asInt(),
                                one.path("about").asString(),
                                one.path("settings").path("prefix").asString("").replace(web.address(), ""))
                        .strip())
                .toList();
    }

    private static void page(String path, String head) {
        web.has(
                path,
                "text/html",
                "<!doctype html><html lang=\"nl-BE\"><head>" + head + "</head><body><p>Text</p></body></html>");
    }

    private static void sitemap(String... paths) {
        StringBuilder map = new StringBuilder(
                "<?xml version=\"1.0\"?><urlset xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\">");
        for (String path : paths) {
            map.append("<url><loc>").append(web.address()).append(path).append("</loc></url>");
        }
        web.has("/sitemap.xml", "application/xml", map + "</urlset>");
    }

    @Test
    void partsOfTheSitemapAndFeedsAreOfferedTheBestFirst() {
        page(
                "/",
                "<title>Start | De Eilanden</title><link rel=\"alternate\" type=\"application/atom+xml\" title=\"Nieuws\" href=\"/feed\">"
                        + "<link rel=\"alternate\" hreflang=\"en\" href=\"/en\">");
        page("/recepten/1", "<script type=\"application/ld+json\">{\"@type\":\"Recipe\",\"name\":\"Soep\"}</script>");
        sitemap(
                "/",
                "/over",
                "/recepten/1",
                "/recepten/2",
                "/recepten/3",
                "/blog/1",
                "/blog/2",
                "/blog/3",
                "/blog/4",
                "/ooit/1");
        web.has(
                "/feed",
                "application/atom+xml",
                "<feed xmlns=\"http://www.w3.org/2005/Atom\"><title>N</title><id>x</id><updated>2026-01-01T00:00:00Z</updated>"
                        + "<entry><title>Een</title><id>1</id><updated>2026-01-01T00:00:00Z</updated></entry></feed>");
        JsonNode survey = survey();
        assertThat(survey.path("language").asString()).isEqualTo("nl-BE");
        assertThat(survey.path("problem").isNull()).isTrue();
        assertThat(sources(survey))
                .containsExactly("crawl Recepten 3 Recipe /recepten/", "crawl Blog 4  /blog/", "feed Nieuws 1");
    }

    @Test
    void whatRobotsAreKeptFromIsNotOffered() {
        page("/", "<title>Ours</title>");
        web.has("/robots.txt", "text/plain", "User-agent: *\nDisallow: /inside/\n");
        sitemap("/inside/1", "/inside/2", "/inside/3", "/posts/1", "/posts/2", "/posts/3");
        assertThat(sources(survey())).containsExactly("crawl Posts 3  /posts/");
    }

    @Test
    void aSitemapWithoutFoldersIsOfferedAsAWhole() {
        page("/", "<title>Ours</title>");
        sitemap("/", "/a", "/b");
        assertThat(sources(survey())).containsExactly("crawl Pages 3");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<meta property='og:site_name' content='The Isles'><title>Home</title> | The Isles",
                "<title>A long welcome to everybody - Isles</title> | Isles",
                "<title>Isles</title> | Isles",
                "<title>Home · The Great Isles</title> | The Great Isles",
            })
    void theSiteIsCalledWhatItCallsItself(String head, String name) {
        page("/", head);
        assertThat(survey().path("name").asString()).isEqualTo(name);
    }

    @ParameterizedTest
    @CsvSource({"401, who asks", "403, who asks", "404, Check the address", "500, Try again later"})
    void whatCannotBeReadIsSaidAndNothingIsOffered(int status, String said) {
        web.status("/", status);
        JsonNode survey = survey();
        assertThat(survey.path("problem").asString()).contains(said, String.valueOf(status));
        assertThat(survey.path("sources")).isEmpty();
    }

    @Test
    void anAddressThatLeadsToAnotherSiteSaysWhere() {
        elsewhere.has("/", "text/html", "<title>There</title>");
        web.redirect("/", elsewhere.address() + "/");
        sitemap("/a", "/b");
        JsonNode survey = survey();
        assertThat(survey.path("leadsTo").asString()).isEqualTo(elsewhere.address());
        assertThat(survey.path("sources")).as("of which site would they be?").isEmpty();
    }

    @Test
    void whatIsNoFeedAndNoSitemapIsNotOffered() {
        page("/", "<title>Ours</title><link rel=\"alternate\" type=\"application/rss+xml\" href=\"/feed\">");
        web.has("/feed", "text/html", "<p>Moved</p>");
        web.has("/sitemap.xml", "text/html", "<!doctype html><p>Not here");
        assertThat(survey().path("sources")).isEmpty();
    }
}
