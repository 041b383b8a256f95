package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;

/** Items come in by push: what is good is kept, what is not is refused with its line and reason. */
class PushTest {
    private static RunningService service;
    private static int sites;
    private Api api;

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
    void makeSite() {
        api = service.api().withSite("isles-" + ++sites);
    }

    private String items() {
        return api.site() + "/collections/posts/items";
    }

    private static void counts(Api.Answer answer, int added, int changed, int unchanged, int refused) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        JsonNode report = answer.json();
        assertThat(new int[] {
                    report.path("added").asInt(),
                    report.path("changed").asInt(),
                    report.path("unchanged").asInt(),
                    report.path("refused").asInt()
                })
                .as(answer.text())
                .containsExactly(added, changed, unchanged, refused);
    }

    @Test
    void tellsAddedChangedUnchangedAndRefusedApart() {
        counts(api.push("posts", "{\"id\":\"a\",\"title\":\"One\"}\n{\"id\":\"b\",\"title\":\"Two\"}\n"), 2, 0, 0, 0);
        counts(
                api.push(
                        "posts",
                        "{\"title\":\"One\",\"id\":\"a\"}\n\n{\"id\":\"b\",\"title\":\"Two, changed\"}\n{\"id\":7,\"title\":\"Seven\"}\nnot json"),
                1,
                1,
                1,
                1);
        assertThat(api.get(items()).json().path("total").asInt()).isEqualTo(3);
    }

    @Test
    void everyBadLineIsRefusedWithItsNumberAndReasonAndTheRestIsKept() {
        api.put(api.site() + "/collections/posts/fields/price", "{\"kind\":\"money\",\"label\":\"Price\"}");
        String lines = """
                {"id":"good-1","title":"Kept","price":480}
                {"id":"cut off
                ["a list"]
                {"title":"no id"}
                {"id":"good-1","title":"doubled"}
                {"id":"bad-price","price":"cheap"}
                {"id":"","title":"empty id"}
                {"id":"twice","title":"a","title":"b"}
                {"id":{"no":"object"}}
                null
                {"id":"good-2","title":"<script>alert(1)</script>","price":520}
                """;
        Api.Answer answer = api.push("posts", lines);
        counts(answer, 2, 0, 0, 9);
        JsonNode refusals = answer.json().path("refusals");
        assertThat(refusals)
                .extracting(refusal -> refusal.path("line").asInt())
                .containsExactly(2, 3, 4, 5, 7, 8, 9, 10, 6);
        assertThat(refusals)
                .extracting(refusal -> refusal.path("reason").asString())
                .allSatisfy(reason -> assertThat(reason).isNotBlank());
        assertThat(refusals.get(8).path("property").asString()).isEqualTo("price");
        assertThat(refusals.get(8).path("id").asString()).isEqualTo("bad-price");
        assertThat(refusals.get(3).path("reason").asString()).contains("line 1 has the id \"good-1\" already");
        assertThat(refusals.get(1).path("reason").asString()).contains("not a list");
        assertThat(answer.text())
                .as("no word of how it is made")
                .doesNotContain("java.")
                .doesNotContain("JsonToken");
    }

    @Test
    void aLineOverOneMegabyteIsRefusedAndTheNextIsRead() {
        String big = "{\"id\":\"big\",\"body\":\"" + "x".repeat(1_000_001)
                + "\"}\n{\"id\":\"small\",\"title\":\"After it\"}";
        Api.Answer answer = api.push("posts", big);
        counts(answer, 1, 0, 0, 1);
        assertThat(answer.json().path("refusals").get(0).path("reason").asString())
                .contains("1,000,000 are the most");
    }

    /** Short ones lie in their rows, long ones apart; those of one request are added and replaced alike. */
    @Test
    void itemsOfAnyLengthAreKeptAsTheyCameAndReplaced() {
        for (String letter : List.of("a", "é")) {
            String lines = IntStream.of(10, 4_000, 8_100, 8_300, 300_000)
                    .mapToObj(length -> "{\"body\":\"%s\",\"id\":\"of-%d\"}\n".formatted(letter.repeat(length), length))
                    .collect(Collectors.joining());
            boolean first = letter.equals("a");
            counts(api.push("posts", lines), first ? 5 : 0, first ? 0 : 5, 0, 0);
            counts(api.push("posts", lines), 0, 0, 5, 0);
        }
    }

    @Test
    void otherEncodingsAreRefusedAndAByteOrderMarkIsNot() {
        byte[] latin = "{\"id\":\"l\",\"title\":\"Fête\"}".getBytes(StandardCharsets.ISO_8859_1);
        Api.Answer refused = api.sendBytes("PUT", items(), latin, Map.of("Content-Type", "application/jsonl"));
        counts(refused, 0, 0, 0, 1);
        assertThat(refused.json().path("refusals").get(0).path("reason").asString())
                .contains("not UTF-8");
        counts(api.push("posts", "\uFEFF{\"id\":\"u\",\"title\":\"Fête\"}"), 1, 0, 0, 0);
    }

    @Test
    void fieldsAreMadeFromWhatComesAndTold() {
        Api.Answer answer = api.push(
                "posts",
                "{\"id\":\"1\",\"title\":\"T\",\"price\":3,\"garden\":true,\"departures\":[\"2026-05-01\"],\"place\":{\"lat\":1,\"lon\":2},\"bad name!\":1}");
        counts(answer, 1, 0, 0, 0);
        assertThat(answer.json().path("newFields"))
                .extracting(field -> field.path("property").asString() + " "
                        + field.path("kind").asString())
                .containsExactly("title text", "price money", "garden yes-no", "departures date", "place place");
        assertThat(answer.json().path("passedOver"))
                .extracting(one -> one.path("property").asString())
                .containsExactly("bad name!");
    }

    @Test
    void aPartialPushLeavesWhatItDoesNotNameAndNullTakesAway() {
        api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\",\"summary\":\"Old\",\"note\":\"Gone soon\"}");
        Api.Answer answer = push(
                "partial=true", "{\"id\":\"1\",\"summary\":\"New\",\"note\":null}\n{\"id\":\"2\",\"title\":\"Crab\"}");
        counts(answer, 1, 1, 0, 0);
        assertThat(answer.json().path("changes").get(0).path("reason").asString())
                .isEqualTo("note, summary");
        JsonNode item = api.get(api.site() + "/collections/posts/item?id=1").json();
        assertThat(item.path("fields"))
                .extracting(field ->
                        field.path("key").asString() + "=" + field.path("text").asString())
                .contains("title=Lobster", "summary=New")
                .doesNotContain("note=Gone soon");
        counts(push("partial=true", "{\"id\":\"1\",\"summary\":\"New\"}"), 0, 0, 1, 0);
    }

    @Test
    void itemsAreDeletedByNameAndComeBackAsNew() {
        api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}\n{\"id\":\"2\",\"title\":\"Crab\"}");
        String search = api.publishedSearch("S");
        Api.Answer deleted =
                api.push("posts", "{\"id\":\"1\",\"_delete\":true}\n{\"id\":\"unheard-of\",\"_delete\":true}");
        assertThat(deleted.json().path("removed").asInt()).isEqualTo(1);
        assertThat(deleted.json().path("unchanged").asInt()).isEqualTo(1);
        assertThat(api.results(search, "lobster").hits()).isEmpty();
        counts(api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}"), 1, 0, 0, 0);
        assertThat(api.results(search, "lobster").hits()).containsExactly("1");
    }

    @Test
    void everythingRemovesWhatIsNotNamedAndAsksBeforeMoreThanAThird() {
        api.push(
                "posts",
                "{\"id\":\"1\",\"title\":\"A\"}\n{\"id\":\"2\",\"title\":\"B\"}\n{\"id\":\"3\",\"title\":\"C\"}\n{\"id\":\"4\",\"title\":\"D\"}");
        String three =
                "{\"id\":\"1\",\"title\":\"A\"}\n{\"id\":\"2\",\"title\":\"B, changed\"}\n{\"id\":\"3\",\"title\":\"C\"}";
        Api.Answer one = push("everything=true", three);
        counts(one, 0, 1, 2, 0);
        assertThat(one.json().path("removed").asInt()).isEqualTo(1);
        Api.Answer asks = push("everything=true", "{\"id\":\"1\",\"title\":\"A, not kept\"}");
        assertThat(asks.status()).isEqualTo(409);
        assertThat(asks.json().path("detail").asString())
                .contains("2 of the 3 items")
                .contains("removeMany=true");
        assertThat(api.get(items() + "?q=not%20kept").json().path("total").asInt())
                .as("nothing of it was kept")
                .isZero();
        assertThat(push("everything=true&removeMany=true", "{\"id\":\"1\",\"title\":\"A\"}")
                        .json()
                        .path("removed")
                        .asInt())
                .isEqualTo(2);
        assertThat(push("everything=true", "").status())
                .as("a body that names nothing would remove all")
                .isEqualTo(409);
    }

    /** More than are gone through at a time, on both sides of where one batch ends. */
    @Test
    void everythingGoesThroughCollectionsOfAnySize() {
        String all = IntStream.range(0, 1_203)
                .mapToObj("{\"id\":\"%1$04d\",\"title\":\"Item %1$d\"}"::formatted)
                .collect(Collectors.joining("\n"));
        api.push("posts", all);
        String kept = Stream.of(all.split("\n"))
                .filter(line -> !line.matches(".*\"0(000|499|500|501|999)\".*|.*\"1202\".*"))
                .collect(Collectors.joining("\n"));
        assertThat(push("everything=true", kept).json().path("removed").asInt()).isEqualTo(6);
        assertThat(api.get(items()).json().path("total").asInt()).isEqualTo(1_197);
    }

    @Test
    void whileALineHasNoReadableIdNothingIsRemovedAndTheReportSaysSo() {
        String items = IntStream.range(0, 20)
                .mapToObj("{\"id\":\"%1$d\",\"title\":\"Item %1$d\"}"::formatted)
                .collect(Collectors.joining("\n"));
        api.push("posts", items);
        String theOthers = items.substring(items.indexOf('\n') + 1);
        byte[] latin = "{\"id\":\"0\",\"title\":\"Fête\"}".getBytes(StandardCharsets.ISO_8859_1);
        Stream.of(
                        "{\"id\":\"0\",\"title\":",
                        "{\"id\":\"0\",\"body\":\"" + "x".repeat(1_000_001) + "\"}",
                        "{\"id\":{\"is\":\"0\"}}",
                        "{\"id\":\"0\",\"title\":\"a\",\"title\":\"b\"}",
                        "[\"0\"]",
                        "{\"title\":\"Item 0\"}",
                        "null")
                .map(line -> line.getBytes(StandardCharsets.UTF_8))
                .forEach(line -> staysWhile(line, theOthers));
        staysWhile(latin, theOthers);
        assertThat(push("everything=true", theOthers).json().path("removed").asInt())
                .as("every line has its id")
                .isEqualTo(1);
    }

    private void staysWhile(byte[] line, String theOthers) {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        body.writeBytes(line);
        body.writeBytes(("\n" + theOthers).getBytes(StandardCharsets.UTF_8));
        Api.Answer answer = api.sendBytes(
                "PUT", items() + "?everything=true", body.toByteArray(), Map.of("Content-Type", "application/jsonl"));
        counts(answer, 0, 0, 19, 1);
        assertThat(answer.json().path("removed").asInt()).isZero();
        assertThat(answer.json().path("notRemoved").asString())
                .contains("one line")
                .contains("nothing was removed");
        assertThat(api.get(items()).json().path("total").asInt()).isEqualTo(20);
    }

    private Api.Answer push(String how, String lines) {
        return api.send("PUT", items() + "?" + how, lines, Map.of("Content-Type", "application/jsonl"));
    }

    @Test
    void aFieldsKeyHasOneKindInASite() {
        api.push("posts", "{\"id\":\"1\",\"length\":12}");
        api.put(api.site() + "/collections/films", "{\"label\":\"Films\",\"language\":\"en\"}");
        JsonNode field = api.push("films", "{\"id\":\"1\",\"length\":\"rather long, and worth it.\"}")
                .json()
                .path("newFields")
                .get(0);
        assertThat(field.path("key").asString()).isEqualTo("length-films");
        assertThat(field.path("property").asString()).isEqualTo("length");
        assertThat(field.path("label").asString()).isEqualTo("Length (Films)");
    }

    @Test
    void aGuessedKindCanBeCorrectedAndTheItemsAreReadAnew() {
        api.push(
                "posts",
                "{\"id\":\"1\",\"title\":\"T\",\"note\":\"QH-1\"}\n{\"id\":\"2\",\"title\":\"U\",\"note\":\"some lobster\"}");
        String search = api.publishedSearch("Before");
        assertThat(api.results(search, "lobster").hits())
                .as("a note is text and not searched by itself")
                .isEmpty();
        String field = api.site() + "/collections/posts/fields/note";
        Api.Answer refused = api.put(field, "{\"kind\":\"date\",\"label\":\"Note\"}");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.json().path("detail").asString()).contains("2 items do not fit the kind date");
        assertThat(api.put(field, "{\"kind\":\"category\",\"label\":\"Note\"}").status())
                .isEqualTo(200);
        assertThat(api.results(api.publishedSearch("After"), "lobster").hits()).containsExactly("2");
        assertThat(api.put(field, "{\"kind\":\"colour\",\"label\":\"Note\"}")
                        .json()
                        .path("field")
                        .asString())
                .isEqualTo("kind");
    }

    @Test
    void anUnknownCollectionOrSiteIsToldWithWhatThereIs() {
        Api.Answer answer = api.push("nowhere", "{\"id\":\"1\"}");
        assertThat(answer.status()).isEqualTo(404);
        assertThat(answer.json().path("detail").asString())
                .contains("no collection \"nowhere\"")
                .contains("posts");
        assertThat(api.put("/api/owner/sites/atlantis/collections/posts/items", "{}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void anItemIsFoundAsSoonAsThePushIsAnswered() {
        api.push("posts", "{\"id\":\"1\",\"title\":\"Lobster\"}");
        String search = api.publishedSearch("S");
        assertThat(api.results(search, "lobster").hits()).containsExactly("1");
        api.push("posts", "{\"id\":\"1\",\"title\":\"Crab\"}");
        assertThat(api.results(search, "lobster").hits()).isEmpty();
        assertThat(api.results(search, "crab").hits()).containsExactly("1");
    }

    @Test
    void itemsArePagedAndFoundByTitleOrId() {
        StringBuilder lines = new StringBuilder();
        for (int i = 0; i < 60; i++) {
            lines.append("{\"id\":\"i%02d\",\"title\":\"Item %d\"}\n".formatted(i, i));
        }
        api.push("posts", lines.toString());
        assertThat(api.get(items() + "?page=99&perPage=25").json().path("page").asInt())
                .as("beyond the last stands for the last")
                .isEqualTo(3);
        assertThat(api.get(items() + "?q=ITEM%205").json().path("total").asInt())
                .isEqualTo(11);
        assertThat(api.get(items() + "?perPage=0").status()).isEqualTo(400);
    }
}
