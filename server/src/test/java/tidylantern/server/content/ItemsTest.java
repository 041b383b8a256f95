package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.StreamSupport;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** What owners see of their items, add to them, and take away as files. */
class ItemsTest {
    private static final String LINES = """
            {"id":"a","title":"Rope, \\"walk\\"","summary":"One line\\nand another","body":"The text.","url":"/a","tags":["Boats/Rope","Old, and good"],"price":{"amount":12.5,"currency":"EUR"},"rating":4.5,"place":{"lat":47.1,"lon":-32.2,"name":"Thrum"},"image":{"url":"/a.svg","alt":"Ropes"},"departures":["2026-12-01","2026-12-08"],"stepFree":true,"code":"MK-1/A"}
            {"id":"b","title":"=SUM(A1)","tags":["boats/rope"],"rating":3,"stepFree":false}
            {"id":"c","title":"Ångström café","tags":["Boats/Sails"],"price":7}
            """;

    private static RunningService service;
    private static int sites;
    private Api api;
    private String search = "";

    @BeforeAll
    static void start(@TempDir Path data) {
        service = RunningService.on(data);
    }

    @AfterAll
    static void stop() {
        service.close();
    }

    /** A site for each test. */
    @BeforeEach
    void fill() {
        api = service.api().withSite("isles-" + ++sites);
        assertThat(api.push("posts", LINES).text()).contains("\"added\":3");
    }

    private String posts() {
        return api.site() + "/collections/posts";
    }

    private List<String> table(String parameters) {
        Api.Answer answer = api.get(posts() + "/items?" + parameters);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return StreamSupport.stream(answer.json().path("items").spliterator(), false)
                .map(item -> item.path("id").asString())
                .toList();
    }

    private List<String> found(String query) {
        return api.results(search, query).hits();
    }

    @Test
    void theTableIsSearchedSortedAndFiltered() {
        assertThat(table("")).containsExactly("b", "c", "a");
        assertThat(table("sort=rating&reversed=true")).containsExactly("a", "b", "c");
        assertThat(table("q=" + URLEncoder.encode("ANGST", StandardCharsets.UTF_8)))
                .containsExactly("c");
        assertThat(table("value=tags:boats")).containsExactly("b", "c", "a");
        assertThat(table("value=tags:boats/rope&sort=id")).containsExactly("a", "b");
        assertThat(table("without=price&with=rating")).containsExactly("b");
        assertThat(table("perPage=2&page=2")).containsExactly("a");
        assertThat(table("id=a&id=c&id=none")).containsExactly("c", "a");
        assertThat(api.get(posts() + "/items?columns=price,departures")
                        .json()
                        .path("items")
                        .path(2)
                        .path("values")
                        .path("departures")
                        .asString())
                .isEqualTo("2026-12-01, 2026-12-08");
    }

    @Test
    void whatTheTableCannotDoNamesTheParameter() {
        assertThat(api.get(posts() + "/items?sort=nothing").status()).isEqualTo(404);
        assertThat(api.get(posts() + "/items?value=tags").json().path("field").asString())
                .isEqualTo("value");
        assertThat(api.get(posts() + "/items?perPage=100000")
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("perPage");
    }

    @Test
    void aMarkStaysThroughThePushThatComesAfterIt() {
        search = api.publishedSearch("Posts");
        api.put(
                posts() + "/item/mark?id=a",
                "{\"keptOut\":false,\"keywords\":\"hawser\",\"title\":\"Our ropewalk\",\"summary\":\"Ours\",\"image\":\"/own.svg\",\"imageAlternative\":\"Our shed\"}");
        assertThat(found("hawser")).containsExactly("a");
        assertThat(found("ropewalk")).containsExactly("a");
        api.push("posts", LINES.replace("The text.", "Another text."));
        assertThat(found("hawser")).containsExactly("a");
        JsonNode hit = api.results(search, "ropewalk").json().path("hits").path(0);
        assertThat(hit.toString()).contains("Our ropewalk").contains("/own.svg").contains("Our shed");
        JsonNode item = api.get(posts() + "/item?id=a").json();
        JsonNode title = StreamSupport.stream(item.path("fields").spliterator(), false)
                .filter(field -> field.path("key").asString().equals("title"))
                .findFirst()
                .orElseThrow();
        assertThat(title.path("text").asString()).isEqualTo("Our ropewalk");
        assertThat(title.path("instead").asString()).isEqualTo("Rope, \"walk\"");
    }

    @Test
    void severalItemsAreKeptOutAndLetInAtOnce() {
        search = api.publishedSearch("Posts");
        assertThat(api.post(posts() + "/items/marks", "{\"ids\":[\"a\",\"c\"],\"keptOut\":true,\"addKeywords\":null}")
                        .json()
                        .path("items")
                        .asInt())
                .isEqualTo(2);
        assertThat(found("")).containsExactly("b");
        assertThat(table("keptOut=true")).containsExactly("c", "a");
        JsonNode why = api.get(posts() + "/item/searches?id=a").json().path(0);
        assertThat(why.path("draft").asBoolean()).isFalse();
        assertThat(why.path("why").asString()).isEqualTo("You keep it out of search.");
        api.post(posts() + "/items/marks", "{\"ids\":[\"a\"],\"keptOut\":false,\"addKeywords\":\"hawser\"}");
        assertThat(found("hawser")).containsExactly("a");
        assertThat(api.post(
                                posts() + "/items/marks",
                                "{\"ids\":[\"b\",\"gone\"],\"keptOut\":true,\"addKeywords\":null}")
                        .json()
                        .path("detail")
                        .asString())
                .contains("\"gone\"");
        assertThat(table("keptOut=true")).as("all or none").containsExactly("c");
    }

    @Test
    void twoSpellingsCountAsOneOnceTheyAreMergedAndCanBeParted() {
        assertThat(api.get(api.site() + "/health").text()).doesNotContain("two-spellings");
        api.push("posts", "{\"id\":\"d\",\"title\":\"D\",\"tags\":[\"Boats/Ropes\"]}\n");
        assertThat(table("value=tags:boats/rope&sort=id")).containsExactly("a", "b");
        assertThat(api.post(
                                posts() + "/fields/tags/merges",
                                "{\"from\":[\"Boats\",\"Ropes\"],\"into\":[\"Boats\",\"Rope\"]}")
                        .status())
                .isEqualTo(200);
        assertThat(table("value=tags:boats/rope&sort=id")).containsExactly("a", "b", "d");
        api.push("posts", "{\"id\":\"e\",\"title\":\"E\",\"tags\":[\"Boats/Ropes/Hemp\"]}\n");
        assertThat(table("value=tags:boats/rope&sort=id"))
                .as("what comes later, and what lies below")
                .containsExactly("a", "b", "d", "e");
        assertThat(api.post(posts() + "/fields/tags/merges", "{\"from\":[\"Boats\"],\"into\":[\"Boats\",\"Rope\"]}")
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("into");
        api.send(
                "DELETE",
                posts() + "/fields/tags/merges",
                "{\"from\":[\"Boats\",\"Ropes\"]}",
                java.util.Map.of("Content-Type", "application/json"));
        assertThat(table("value=tags:boats/rope&sort=id")).containsExactly("a", "b");
    }

    @Test
    void healthTellsWhatIsWrongUntilItIsMended() {
        assertThat(api.get(api.site() + "/health").text()).contains("\"kind\":\"no-summary\"");
        api.post(posts() + "/items/marks", "{\"ids\":[\"b\",\"c\"],\"keptOut\":true,\"addKeywords\":null}");
        assertThat(api.get(api.site() + "/health").text())
                .as("what is kept out troubles nobody")
                .doesNotContain("\"kind\":\"no-summary\"");
    }

    @Test
    void jsonLinesOutAreAPushInAgain() {
        String out = api.get(posts() + "/export.jsonl").text();
        api.put(api.site() + "/collections/copy", "{\"label\":\"Copy\",\"language\":\"en\"}");
        assertThat(api.push("copy", out).json().path("added").asInt()).isEqualTo(3);
        assertThat(api.get(api.site() + "/collections/copy/export.jsonl").text())
                .isEqualTo(out);
        assertThat(api.push("posts", out).json().path("unchanged").asInt())
                .as("and changes nothing where it came from")
                .isEqualTo(3);
    }

    @Test
    void csvOutIsAFileInAgain() throws IOException {
        String out = api.get(posts() + "/export.csv").text();
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(out))
                .getRecords();
        assertThat(rows).hasSize(3);
        assertThat(rows.getFirst().get("title")).isEqualTo("Rope, \"walk\"");
        assertThat(rows.getFirst().get("summary")).isEqualTo("One line\nand another");
        api.put(api.site() + "/collections/copy", "{\"label\":\"Copy\",\"language\":\"en\"}");
        String upload = api.send(
                        "POST",
                        api.site() + "/uploads",
                        out,
                        java.util.Map.of("Content-Type", "application/octet-stream"))
                .json()
                .path("upload")
                .asString();
        JsonNode preview = api.post(
                        api.site() + "/source-previews",
                        "{\"settings\":{\"kind\":\"file\",\"upload\":\"" + upload
                                + "\"},\"collection\":\"posts\",\"fresh\":true}")
                .json();
        assertThat(preview.path("items").toString())
                .as("as it was guessed, nothing corrected")
                .contains("Rope, \\\"walk\\\"");
        for (JsonNode item : preview.path("items")) {
            assertThat(item.path("problem").isNull()).as(item.toString()).isTrue();
        }
    }
}
