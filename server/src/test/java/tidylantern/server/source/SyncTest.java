package tidylantern.server.source;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tidylantern.server.platform.EveryHour;
import tidylantern.server.source.reading.WebSite;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Sources of a running service, from the preview to the report, with a website that does as the test says. */
class SyncTest {
    private static final Duration LONG = Duration.ofSeconds(60);

    @TempDir
    private static Path data;

    private static WebSite web;
    private static RunningService service;
    private static int sites;
    private Api api;

    @BeforeAll
    static void start() {
        web = new WebSite();
        service = RunningService.on(data, List.of(web.host()));
    }

    @AfterAll
    static void stop() {
        service.close();
        web.close();
    }

    /** A site for each test, and nothing on the website. */
    @BeforeEach
    void begin() {
        web.empty();
        api = service.api().withSite("isles-" + ++sites);
    }

    /** Where what was uploaded lies. */
    private static Path uploaded(String upload) {
        return data.resolve("uploads/isles-" + sites + "/" + upload);
    }

    private String file(String path) {
        return "{\"kind\":\"file\",\"address\":\"" + web.address() + path + "\"}";
    }

    private String crawl(String way, String path, String more) {
        return "{\"kind\":\"crawl\",\"address\":\"%s%s\",\"way\":\"%s\",\"pauseMillis\":0%s}"
                .formatted(web.address(), path, way, more);
    }

    /** Sets up a source of posts with the mapping that is guessed for it. */
    private long source(String settings) {
        Api.Answer preview = api.post(
                api.site() + "/source-previews",
                "{\"settings\":%s,\"collection\":\"posts\",\"fresh\":true}".formatted(settings));
        assertThat(preview.status()).as(preview.text()).isEqualTo(200);
        return source(settings, preview.json().path("mapping").toString(), "never");
    }

    private long source(String settings, String mapping, String schedule) {
        Api.Answer added = api.post(
                api.site() + "/sources",
                "{\"collection\":\"posts\",\"name\":\"Source\",\"settings\":%s,\"mapping\":%s,\"removesMissing\":true,\"schedule\":\"%s\"}"
                        .formatted(settings, mapping, schedule));
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        return added.json().path("id").asLong();
    }

    private long begin(long source) {
        Api.Answer begun = api.post("/api/owner/sources/" + source + "/syncs", "");
        assertThat(begun.status()).as(begun.text()).isEqualTo(202);
        return begun.json().path("id").asLong();
    }

    private JsonNode ended(long sync) {
        Instant latest = Instant.now().plus(LONG);
        while (Instant.now().isBefore(latest)) {
            JsonNode now = api.get("/api/owner/syncs/" + sync).json();
            if (!now.path("state").asString().equals("running")) {
                return now;
            }
            Thread.onSpinWait();
        }
        throw new AssertionError("the sync did not end within " + LONG);
    }

    private JsonNode run(long source) {
        return ended(begin(source));
    }

    private static String counts(JsonNode sync) {
        JsonNode report = sync.path("report");
        return "%s +%d ~%d =%d -%d !%d"
                .formatted(
                        sync.path("state").asString(),
                        report.path("added").asInt(),
                        report.path("changed").asInt(),
                        report.path("unchanged").asInt(),
                        report.path("removed").asInt(),
                        report.path("refused").asInt());
    }

    private List<String> ids() {
        return api.get(api.site() + "/collections/posts/export.jsonl")
                .text()
                .lines()
                .filter(line -> !line.isBlank())
                .map(line -> new JsonMapper().readTree(line).path("id").asString())
                .toList();
    }

    private static String csv(int from, int to) {
        return "id,title,price\n"
                + IntStream.range(from, to)
                        .mapToObj(n -> "p-%02d,Post %d,%d".formatted(n, n, n * 10))
                        .collect(Collectors.joining("\n"))
                + "\n";
    }

    @Test
    void aFileIsShownFirstThenTakenAndEndsInAReport() {
        web.has("/posts.csv", "text/csv", csv(0, 9) + "p-99,Broken,twelve\n");
        Api.Answer preview = api.post(
                api.site() + "/source-previews",
                "{\"settings\":%s,\"collection\":\"posts\",\"fresh\":true,\"mapping\":{\"idColumn\":\"id\",\"fields\":[{\"property\":\"title\",\"label\":\"Title\",\"kind\":\"text\",\"column\":\"title\"},{\"property\":\"price\",\"label\":\"Price\",\"kind\":\"number\",\"column\":\"price\"}]}}"
                        .formatted(file("/posts.csv")));
        assertThat(ids()).as("a preview takes nothing").isEmpty();
        assertThat(preview.json().path("items")).hasSize(10);
        assertThat(preview.json().path("items").path(9).path("problem").asString())
                .contains("price")
                .contains("twelve");
        JsonNode sync =
                run(source(file("/posts.csv"), preview.json().path("mapping").toString(), "never"));
        assertThat(counts(sync)).isEqualTo("done +9 ~0 =0 -0 !1");
        assertThat(sync.path("report").path("refusals").path(0).path("at").asString())
                .isEqualTo("row 11");
        assertThat(sync.path("report").path("refusals").path(0).path("reason").asString())
                .contains("write a number such as 12.5");
        assertThat(ids()).hasSize(9).contains("p-00", "p-08");
        assertThat(api.results(api.publishedSearch("Posts"), "post 7").hits()).contains("p-07");
    }

    @Test
    void whatWasGuessedWithDoubtSaysWhyUntilItIsCorrected() {
        web.has(
                "/seats.csv",
                "text/csv",
                "id,name,seats\n"
                        + IntStream.range(0, 12)
                                .mapToObj(n ->
                                        "b-%02d,Boat %d,%s".formatted(n, n, n == 7 ? "about ten" : String.valueOf(n)))
                                .collect(Collectors.joining("\n"))
                        + "\n");
        String asked = "{\"settings\":%s,\"fresh\":true%s}";
        JsonNode guess = api.post(api.site() + "/source-previews", asked.formatted(file("/seats.csv"), ""))
                .json();
        assertThat(guess.path("fieldNotes")).hasSize(1);
        assertThat(guess.path("fieldNotes").path(0).path("property").asString()).isEqualTo("seats");
        assertThat(guess.path("fieldNotes").path(0).path("note").asString())
                .isEqualTo("All but 1 of 12 cells hold a number; “about ten” is none.");
        String corrected = guess.path("mapping")
                .toString()
                .replace("\"kind\":\"text\",\"column\":\"seats\"", "\"kind\":\"code\",\"column\":\"seats\"");
        assertThat(corrected).isNotEqualTo(guess.path("mapping").toString());
        assertThat(api.post(
                                api.site() + "/source-previews",
                                asked.formatted(file("/seats.csv"), ",\"mapping\":" + corrected))
                        .json()
                        .path("fieldNotes"))
                .isEmpty();
    }

    @Test
    void anUploadedFileIsASourceToo() {
        String upload = api.send(
                        "POST", api.site() + "/uploads", csv(0, 3), Map.of("Content-Type", "application/octet-stream"))
                .json()
                .path("upload")
                .asString();
        assertThat(counts(run(source("{\"kind\":\"file\",\"upload\":\"" + upload + "\"}"))))
                .isEqualTo("done +3 ~0 =0 -0 !0");
        assertThat(api.post(
                                api.site() + "/sources",
                                "{\"collection\":\"posts\",\"name\":\"S\",\"settings\":{\"kind\":\"file\",\"upload\":\"%s\"},\"mapping\":{\"idColumn\":\"id\",\"fields\":[{\"property\":\"title\",\"label\":\"T\",\"kind\":\"text\",\"column\":\"title\"}]},\"removesMissing\":true,\"schedule\":\"daily\"}"
                                        .formatted(upload))
                        .json()
                        .path("field")
                        .asString())
                .as("it cannot change by itself")
                .isEqualTo("schedule");
    }

    @Test
    void theNextRunTellsWhatChangedAndRemovesWhatIsGone() {
        web.has("/posts.csv", "text/csv", csv(0, 9));
        long source = source(file("/posts.csv"));
        run(source);
        web.has("/posts.csv", "text/csv", csv(1, 10).replace("Post 5", "Post five"));
        JsonNode sync = run(source);
        assertThat(counts(sync)).isEqualTo("done +1 ~1 =7 -1 !0");
        assertThat(StreamSupport.stream(sync.path("report").path("changes").spliterator(), false)
                        .map(change -> change.path("what").asString() + " "
                                + change.path("id").asString())
                        .toList())
                .containsExactlyInAnyOrder("added p-09", "changed p-05", "removed p-00");
        assertThat(counts(run(source))).isEqualTo("done +0 ~0 =9 -0 !0");
    }

    @Test
    void whatOtherSourcesBroughtStays() {
        api.push(
                "posts",
                "{\"id\":\"pushed\",\"title\":\"By a script\",\"extra\":\"kept\"}\n{\"id\":\"p-01\",\"title\":\"Old\",\"extra\":\"kept too\"}\n");
        web.has("/posts.csv", "text/csv", csv(0, 9));
        long source = source(file("/posts.csv"));
        assertThat(counts(run(source))).isEqualTo("done +8 ~1 =0 -0 !0");
        assertThat(ids()).contains("pushed");
        assertThat(api.get(api.site() + "/collections/posts/item?id=p-01").text())
                .as("a source leaves what it does not map")
                .contains("kept too")
                .contains("Post 1");
    }

    @Test
    void aRunThatWouldRemoveMoreThanAThirdAsksFirst() {
        web.has("/posts.csv", "text/csv", csv(0, 9));
        long source = source(file("/posts.csv"));
        run(source);
        web.has("/posts.csv", "text/csv", csv(0, 5));
        JsonNode asks = run(source);
        assertThat(asks.path("state").asString()).isEqualTo("asking");
        assertThat(asks.path("report").path("problem").asString())
                .isEqualTo("4 of the 9 items of the collection are no longer there and would be removed.");
        assertThat(ids()).hasSize(9);
        assertThat(api.post("/api/owner/sources/" + source + "/syncs", "").status())
                .as("answer it first")
                .isEqualTo(409);
        assertThat(api.post("/api/owner/syncs/" + asks.path("id").asLong() + "/stop", "")
                        .json()
                        .path("state")
                        .asString())
                .isEqualTo("stopped");
        assertThat(ids()).hasSize(9);
        long again = run(source).path("id").asLong();
        api.post("/api/owner/syncs/" + again + "/go-on", "");
        assertThat(counts(ended(again))).isEqualTo("done +0 ~0 =5 -4 !0");
        assertThat(ids()).hasSize(5);
        JsonNode removed = api.get(api.site() + "/changes").json().path(0);
        assertThat(removed.path("told").asString())
                .isEqualTo("“Post 5”, “Post 6”, “Post 7” and 1 more removed from “Posts”");
        assertThat(removed.path("by").asString())
                .as("who said yes")
                .isEqualTo(api.get(api.site() + "/changes")
                        .json()
                        .path(1)
                        .path("by")
                        .asString());
        assertThat(api.post(api.site() + "/changes/" + removed.path("id").asLong() + "/take-back", "")
                        .status())
                .isEqualTo(204);
        assertThat(ids()).as("the yes is taken back").hasSize(9);
    }

    @Test
    void aFailedRunLeavesNothingBehind() {
        web.has("/posts.json", "application/json", "[{\"id\":\"a\",\"title\":\"A\"},{\"id\":\"b\",\"title\":\"B\"}]");
        long source = source(file("/posts.json"));
        run(source);
        web.has(
                "/posts.json",
                "application/json",
                "[{\"id\":\"a\",\"title\":\"Another\"},{\"id\":\"c\",\"title\":\"C\"},{\"id\":");
        JsonNode broken = run(source);
        assertThat(broken.path("state").asString()).isEqualTo("failed");
        assertThat(broken.path("report").path("problem").asString())
                .contains("broken after")
                .contains("line 1");
        assertThat(ids()).containsExactly("a", "b");
        assertThat(api.get(api.site() + "/collections/posts/item?id=a")
                        .json()
                        .path("title")
                        .asString())
                .isEqualTo("A");
        web.status("/posts.json", 500);
        assertThat(run(source).path("report").path("problem").asString()).contains("status 500");
        web.has("/posts.json", "application/json", "[]");
        assertThat(run(source).path("report").path("problem").asString()).contains("Nothing was found there");
        assertThat(ids()).hasSize(2);
    }

    @Test
    void aFeedIsASourceToo() {
        web.has(
                "/feed",
                "application/rss+xml",
                "<rss version=\"2.0\"><channel><title>t</title><link>l</link><description>d</description><item><title>Ferry</title><guid>f-1</guid><link>https://isles.example/ferry</link></item></channel></rss>");
        assertThat(counts(run(source("{\"kind\":\"feed\",\"address\":\"" + web.address() + "/feed\"}"))))
                .isEqualTo("done +1 ~0 =0 -0 !0");
        assertThat(api.get(api.site() + "/collections/posts/item?id=f-1").text())
                .as("the site's own address is kept from its root")
                .contains("\"address\":\"/ferry\"");
    }

    private void pages(int many) {
        for (int n = 0; n < many; n++) {
            web.page(
                    "/posts/" + n,
                    "<title>Post %d</title><main><h1>Post %d</h1><p>The text of post %d, which is about the ferry.</p><a href=\"/posts/%d\">next</a> <a href=\"/other/x\">other</a> <a href=\"https://elsewhere.example/\">away</a></main>"
                            .formatted(n, n, n, n + 1));
        }
    }

    @Test
    void aCrawlFollowsLinksWithinItsPrefixAndAsksForWhatChangedOnly() {
        pages(5);
        web.page("/other/x", "<title>Other</title><p>Not wanted.</p>");
        long source = source(crawl("links", "/posts/0", ",\"prefix\":\"/posts/\""));
        assertThat(counts(run(source))).as("the sixth page is not there").isEqualTo("done +5 ~0 =0 -0 !1");
        assertThat(web.asked()).doesNotContain("/other/x");
        web.page(
                "/posts/3",
                "<title>Post 3</title><main><h1>Post 3</h1><p>Changed.</p><a href=\"/posts/4\">next</a></main>");
        JsonNode second = run(source);
        assertThat(counts(second)).isEqualTo("done +0 ~1 =4 -0 !1");
    }

    @Test
    void robotsCanonicalAddressesAndNoindexAreKeptTo() {
        web.has("/robots.txt", "text/plain", "User-agent: *\nDisallow: /posts/private\n");
        web.page(
                "/posts",
                "<title>Posts</title><main><h1>Posts</h1><p>Here they are, all of them.</p><a href=\"/posts/a\">a</a><a href=\"/posts/a?utm=1\">a again</a><a href=\"/posts/private\">p</a><a href=\"/posts/hidden\">h</a><a href=\"/posts/away\">w</a><a rel=nofollow href=\"/posts/b\">b</a></main>");
        web.page(
                "/posts/a",
                "<title>A</title><link rel=canonical href=\"{site}/posts/a\"><main><p>The text of a.</p></main>");
        web.page(
                "/posts/a?utm=1",
                "<title>A</title><link rel=canonical href=\"{site}/posts/a\"><main><p>The text of a.</p></main>");
        web.page("/posts/private", "<title>P</title>").page("/posts/b", "<title>B</title>");
        web.page("/posts/hidden", "<title>H</title><meta name=robots content=\"noindex\"><main><p>Hidden.</p></main>");
        web.page(
                "/posts/away",
                "<title>W</title><link rel=canonical href=\"https://elsewhere.example/w\"><main><p>The text of w.</p></main>");
        JsonNode sync = run(source(crawl("links", "/posts", ",\"prefix\":\"/posts\"")));
        assertThat(counts(sync)).isEqualTo("done +3 ~0 =0 -0 !0");
        assertThat(ids())
                .containsExactlyInAnyOrder(
                        web.address() + "/posts", web.address() + "/posts/a", web.address() + "/posts/away");
        assertThat(sync.path("report").path("notes").toString()).contains("robots.txt");
        assertThat(web.asked()).doesNotContain("/posts/private", "/posts/b");
    }

    @Test
    void aFoldersPageIsOnePageByBothItsAddresses() {
        String boats =
                "<title>Boats</title><main><h1>Boats</h1><p>All about boats.</p><a href=\"/\">home</a> <a href=\"/index.html\">home again</a> <a href=\"/other/\">other</a></main>";
        String home =
                "<title>Home</title><main><h1>Home</h1><p>The first page.</p><a href=\"/boats/index.html\">boats</a> <a href=\"/boats/\">boats again</a></main>";
        web.page("/", home).page("/index.html", home).page("/boats/", boats).page("/boats/index.html", boats);
        web.page("/other/", "<title>Other</title><main><p>Says one thing.</p><a href=\"index.html\">a list</a></main>")
                .page("/other/index.html", "<title>Other</title><main><p>Says another.</p></main>");
        long source = source(crawl("links", "/", ""));
        assertThat(counts(run(source)))
                .as("home and boats once, the two others both")
                .isEqualTo("done +4 ~0 =0 -0 !0");
        assertThat(ids())
                .containsExactlyInAnyOrder(
                        web.address() + "/",
                        web.address() + "/boats/index.html",
                        web.address() + "/other/",
                        web.address() + "/other/index.html");
        assertThat(counts(run(source)))
                .as("and so it stays, though only one of them is read again")
                .isEqualTo("done +0 ~0 =4 -0 !0");
        web.gone("/boats/index.html");
        assertThat(counts(run(source)))
                .as("one address is gone, the page is not")
                .isEqualTo("done +1 ~0 =3 -1 !1");
    }

    @Test
    void passwordsAndTokensOfAnAddressAreKeptApart() {
        List<String> signedIn = new CopyOnWriteArrayList<>();
        web.answer("/feed.json?token=s3cret-token", exchange -> {
            signedIn.add(String.valueOf(exchange.getRequestHeaders().getFirst("Authorization")));
            WebSite.send(exchange, 200, "application/json", "[{\"id\":\"a\",\"title\":\"A\"}]".getBytes(), Map.of());
        });
        String whole = web.address().replace("http://", "http://hesper:p4ssword@") + "/feed.json?token=s3cret-token";
        long source = source("{\"kind\":\"file\",\"address\":\"%s\"}".formatted(whole));
        assertThat(counts(run(source))).isEqualTo("done +1 ~0 =0 -0 !0");
        assertThat(signedIn).containsOnly("Basic aGVzcGVyOnA0c3N3b3Jk");
        String shown = api.get("/api/owner/sources/" + source).text();
        assertThat(shown).doesNotContain("p4ssword").doesNotContain("s3cret").contains("token=***");
        assertThat(api.get(api.site() + "/set-up").text())
                .as("nor in the set-up")
                .contains("token=***")
                .doesNotContain("p4ssword")
                .doesNotContain("s3cret");
        ObjectNode given = (ObjectNode) api.get("/api/owner/sources/" + source).json();
        given.remove(List.of("id", "site", "nextRun", "last"));
        given.put("name", "Renamed");
        assertThat(api.send(
                                "PUT",
                                "/api/owner/sources/" + source,
                                given.toString(),
                                Map.of("Content-Type", "application/json"))
                        .status())
                .isEqualTo(200);
        assertThat(counts(run(source)))
                .as("changed without its password, it keeps it")
                .isEqualTo("done +0 ~0 =1 -0 !0");
        ((ObjectNode) given.path("settings")).put("address", "http://***@elsewhere.example/feed.json?token=***");
        Api.Answer other = api.send(
                "PUT", "/api/owner/sources/" + source, given.toString(), Map.of("Content-Type", "application/json"));
        assertThat(other.status()).isEqualTo(400);
        assertThat(other.text()).contains("of another host");
        web.status("/feed.json?token=s3cret-token", 500);
        assertThat(run(source).toString())
                .as("nor in what a run tells")
                .contains("status 500")
                .doesNotContain("s3cret")
                .doesNotContain("p4ssword");
    }

    @Test
    void theWholeFileDecidesAboutKinds() {
        StringBuilder csv = new StringBuilder("id,since\n");
        for (int i = 0; i < 5_000; i++) {
            csv.append(i)
                    .append(',')
                    .append(i == 4_321 ? "unknown" : 1900 + i % 100)
                    .append('\n');
        }
        web.has("/makers.csv", "text/csv", csv.toString());
        JsonNode preview = api.post(
                        api.site() + "/source-previews",
                        "{\"settings\":%s,\"fresh\":true}".formatted(file("/makers.csv")))
                .json();
        assertThat(preview.path("records").asInt()).isEqualTo(5_000);
        assertThat(preview.path("complete").asBoolean()).isTrue();
        assertThat(preview.path("mapping").path("fields").path(0).path("kind").asString())
                .as("one of them is no number")
                .isNotEqualTo("number");
    }

    @Test
    void uploadsThatNoSourceReadsGoOnceNothingCanBringThemBack() throws IOException {
        String kept = upload();
        String lookedAt = upload();
        source(
                "{\"kind\":\"file\",\"upload\":\"%s\"}".formatted(kept),
                "{\"idColumn\":\"id\",\"fields\":[{\"property\":\"title\",\"label\":\"Title\",\"kind\":\"text\",\"column\":\"title\"}]}",
                "never");
        old(kept, 40);
        old(lookedAt, 40);
        AbandonedUploads upkeep = service.part(AbandonedUploads.class);
        upkeep.sweep(new EveryHour());
        assertThat(uploaded(kept)).as("a source reads it").exists();
        assertThat(uploaded(lookedAt)).doesNotExist();
        assertThat(api.send("DELETE", api.site() + "/collections/posts?name=Posts", "", Map.of())
                        .status())
                .isEqualTo(200);
        upkeep.sweep(new EveryHour());
        assertThat(uploaded(kept)).as("its source may be brought back").exists();
        old(kept, 32);
        upkeep.sweep(new EveryHour());
        assertThat(uploaded(kept)).doesNotExist();
    }

    private String upload() {
        return api.send(
                        "POST",
                        api.site() + "/uploads",
                        "id,title\n1,One\n",
                        Map.of("Content-Type", "application/octet-stream"))
                .json()
                .path("upload")
                .asString();
    }

    private void old(String upload, int days) throws IOException {
        Files.setLastModifiedTime(uploaded(upload), FileTime.from(Instant.now().minus(Duration.ofDays(days))));
    }

    @Test
    void aMaskThatNobodyKnowsIsAskedFor() {
        Api.Answer preview = api.post(
                api.site() + "/source-previews",
                "{\"settings\":%s,\"fresh\":true}".formatted(file("/feed.json?token=***")));
        assertThat(preview.status()).isEqualTo(400);
        assertThat(preview.text()).contains("Type the whole address again");
    }

    @Test
    void aPageThatFailsForAMomentIsNotTakenForGone() {
        pages(4);
        web.has(
                "/sitemap.xml",
                "application/xml",
                "<urlset xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\">"
                        + IntStream.range(0, 4)
                                .mapToObj(n -> "<url><loc>{site}/posts/" + n + "</loc></url>")
                                .collect(Collectors.joining())
                        + "</urlset>");
        long source = source(crawl("sitemap", "/sitemap.xml", ""));
        run(source);
        web.status("/posts/2", 503);
        assertThat(counts(run(source))).isEqualTo("done +0 ~0 =3 -0 !1");
        assertThat(ids()).hasSize(4);
        web.gone("/posts/2");
        assertThat(counts(run(source))).as("now it says that it is gone").isEqualTo("done +0 ~0 =3 -1 !1");
    }

    private final CountDownLatch asked = new CountDownLatch(1);
    private final CountDownLatch answer = new CountDownLatch(1);

    /** Begins a crawl that waits for its second page. */
    private long waitingRun(long source) throws InterruptedException {
        web.answer("/posts/1", exchange -> {
            asked.countDown();
            try {
                answer.await();
            } catch (InterruptedException stopped) {
                throw new IOException(stopped);
            }
            WebSite.send(exchange, 200, "text/html", "<title>Late</title>".getBytes(), Map.of());
        });
        long sync = begin(source);
        asked.await();
        return sync;
    }

    @Test
    void aRunThatIsCutOffByTheEndOfTheServiceLeavesNothingAndCanBeRepeated() throws Exception {
        pages(3);
        long source = source(crawl("links", "/posts/0", ""));
        long sync = waitingRun(source);
        service.close();
        answer.countDown();
        service = RunningService.on(data, List.of(web.host()));
        api = service.api().on("isles-" + sites);
        assertThat(api.get("/api/owner/syncs/" + sync).json().path("state").asString())
                .isIn("failed", "stopped");
        assertThat(ids()).isEmpty();
        pages(3);
        assertThat(counts(run(source))).as("two links lead nowhere").isEqualTo("done +3 ~0 =0 -0 !2");
    }

    @Test
    void aRunCanBeStopped() throws Exception {
        pages(3);
        long source = source(crawl("links", "/posts/0", ""));
        long sync = waitingRun(source);
        assertThat(api.get("/api/owner/syncs/" + sync).json().path("state").asString())
                .isEqualTo("running");
        assertThat(api.post("/api/owner/sources/" + source + "/syncs", "").status())
                .as("it runs already")
                .isEqualTo(409);
        api.post("/api/owner/syncs/" + sync + "/stop", "");
        assertThat(ended(sync).path("state").asString())
                .as("though its page never comes")
                .isEqualTo("stopped");
        answer.countDown();
        assertThat(ids()).isEmpty();
    }

    @Test
    void aScheduleSaysWhenTheNextRunIs() {
        web.has("/posts.csv", "text/csv", csv(0, 3));
        long source = source(
                file("/posts.csv"),
                "{\"idColumn\":\"id\",\"fields\":[{\"property\":\"title\",\"label\":\"Title\",\"kind\":\"text\",\"column\":\"title\"}]}",
                "daily");
        Instant next = Instant.parse(
                api.get("/api/owner/sources/" + source).json().path("nextRun").asString());
        assertThat(next)
                .isBetween(
                        Instant.now().plus(Duration.ofHours(23)), Instant.now().plus(Duration.ofHours(25)));
    }

    /** Looks for due sources are 20 seconds apart. */
    @Test
    @EnabledIfSystemProperty(named = "long", matches = ".*")
    void aSourceRunsByItselfOnceItsTimeHasCome() {
        web.has("/posts.csv", "text/csv", csv(0, 3));
        long source = source(
                file("/posts.csv"),
                "{\"idColumn\":\"id\",\"fields\":[{\"property\":\"title\",\"label\":\"Title\",\"kind\":\"text\",\"column\":\"title\"}]}",
                "hourly");
        service.part(JdbcClient.class)
                .sql("UPDATE source SET next_run = DATEADD(HOUR, -2, next_run) WHERE source_id = :source")
                .param("source", source)
                .update();
        Instant latest = Instant.now().plus(LONG);
        while (ids().size() < 3 && Instant.now().isBefore(latest)) {
            Thread.onSpinWait();
        }
        assertThat(ids()).hasSize(3);
        assertThat(api.get("/api/owner/sources/" + source + "/syncs")
                        .json()
                        .path(0)
                        .path("begunBy")
                        .asString())
                .isEqualTo("schedule");
        assertThat(Instant.parse(api.get("/api/owner/sources/" + source)
                        .json()
                        .path("nextRun")
                        .asString()))
                .isAfter(Instant.now().plus(Duration.ofMinutes(50)));
    }

    @Test
    void aSourceTakenAwayLeavesItsItems() {
        web.has("/posts.csv", "text/csv", csv(0, 3));
        long source = source(file("/posts.csv"));
        run(source);
        assertThat(api.send("DELETE", "/api/owner/sources/" + source, null, Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(api.get("/api/owner/sources/" + source).status()).isEqualTo(404);
        assertThat(ids()).hasSize(3);
    }

    @Test
    void whatCannotBeASourceIsRefusedByField() {
        List<String> refused = new ArrayList<>();
        for (String settings : List.of(
                "{\"kind\":\"file\",\"address\":\"ftp://isles.example/x\"}",
                "{\"kind\":\"feed\",\"address\":\"http://127.0.0.1:1/feed\"}",
                "{\"kind\":\"crawl\",\"address\":\"https://isles.example\",\"way\":\"links\",\"mainText\":\"p[\"}",
                "{\"kind\":\"crawl\",\"address\":\"https://isles.example\",\"way\":\"links\",\"mostPages\":0}",
                "{\"kind\":\"file\"}",
                "{\"kind\":\"telepathy\"}")) {
            Api.Answer answer =
                    api.post(api.site() + "/source-previews", "{\"settings\":%s,\"fresh\":true}".formatted(settings));
            assertThat(answer.status()).as(settings).isEqualTo(400);
            refused.add(answer.json().path("detail").asString());
        }
        assertThat(refused.get(0)).contains("is no web address");
        assertThat(refused.get(1)).contains("private network");
        assertThat(refused.get(2)).contains("is no CSS selector");
        assertThat(refused.get(3)).contains("0 pages are not possible");
    }

    @Test
    void aPageIsShownAsAListOfItsPartsToPointAt() {
        web.page(
                "/posts/0",
                "<title>P</title><body><nav><a href=/>Menu</a></nav><main><h1>P</h1><p class=price>40</p><script>alert(1)</script><p>The text of it.</p></main>");
        JsonNode outline = api.post(
                        api.site() + "/page-outlines",
                        "{\"settings\":%s,\"address\":\"%s/posts/0\"}"
                                .formatted(crawl("links", "/posts/0", ""), web.address()))
                .json();
        assertThat(outline.path("mainText").asString()).isEqualTo("40\n\nThe text of it.");
        assertThat(StreamSupport.stream(outline.path("blocks").spliterator(), false)
                        .map(block -> block.path("text").asString())
                        .toList())
                .containsExactly("P", "40", "The text of it.");
    }
}
