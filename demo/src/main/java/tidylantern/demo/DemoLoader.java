package tidylantern.demo;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Brings the Isles into a service through the API that every owner's script uses, and publishes their search. */
public final class DemoLoader {
    public static final String SITE = "quillhaven-isles";
    public static final String SEARCH = "island-search";
    private static final JsonMapper JSON = new JsonMapper();

    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private final String service;
    private final String accessKey;

    /** @param service origin of the service, without a slash at its end */
    public DemoLoader(String service, String accessKey) {
        this.service = service;
        this.accessKey = accessKey;
    }

    /**
     * Makes what is missing and brings the content up to date; doing it twice changes nothing more.
     *
     * @param siteAddress where the stand-in website is
     * @param today the day from which the content's dates are counted
     * @return how many items the service holds of the demo
     * @throws IllegalStateException if the service refuses anything
     */
    public int load(String siteAddress, LocalDate today) {
        Map<String, Object> site = Map.of("name", "Quillhaven Isles", "address", siteAddress);
        if (get("/sites/" + SITE) == null) {
            send("POST", "/sites", JSON.writeValueAsString(site), "application/json", null);
        }
        send(
                "PUT",
                "/sites/" + SITE,
                JSON.writeValueAsString(Map.of(
                        "name",
                        "Quillhaven Isles",
                        "address",
                        siteAddress,
                        "origins",
                        List.of(siteAddress, siteAddress.replace("localhost", "127.0.0.1")))),
                "application/json",
                null);
        send("PUT", "/sites/" + SITE + "/look", Quillhaven.look(), "application/json", null);
        Quillhaven content = new Quillhaven(today);
        int items = 0;
        for (Quillhaven.Part part : Quillhaven.PARTS) {
            String collection = "/sites/" + SITE + "/collections/" + part.key();
            send(
                    "PUT",
                    collection,
                    JSON.writeValueAsString(Map.of("label", part.label(), "language", "en")),
                    "application/json",
                    null);
            if (part.key().equals("outings")) {
                Map<String, Object> hours = Map.of("kind", "number", "label", "Hours", "unit", "h");
                send("PUT", collection + "/fields/hours", JSON.writeValueAsString(hours), "application/json", null);
            }
            JsonNode report = JSON.readTree(
                    send("PUT", collection + "/items", content.pushedLines(part.key()), "application/jsonl", null)
                            .body());
            if (report.path("refused").asInt() > 0) {
                throw new IllegalStateException(
                        "The service refused items of " + part.key() + ": " + report.path("refusals"));
            }
            items += report.path("added").asInt()
                    + report.path("changed").asInt()
                    + report.path("unchanged").asInt();
        }
        for (JsonNode search : JSON.readTree(Quillhaven.searches())) {
            String key = search.path("key").asString();
            if (get("/searches/" + key) == null) {
                send(
                        "POST",
                        "/sites/" + SITE + "/searches",
                        JSON.writeValueAsString(
                                Map.of("name", search.path("name").asString())),
                        "application/json",
                        null);
                publish("/searches/" + key, search);
                send(
                        "PUT",
                        "/searches/" + key + "/about",
                        JSON.writeValueAsString(Map.of(
                                "key", key, "purpose", search.path("purpose").asString())),
                        "application/json",
                        null);
                if (key.equals(SEARCH)) {
                    send("POST", "/searches/" + SEARCH + "/trials.csv", Quillhaven.trials(), "text/csv", null);
                }
            }
        }
        placements(today);
        sources(siteAddress);
        return items;
    }

    /** Places that are held by hand, for some days from today on. */
    private void placements(LocalDate today) {
        for (JsonNode one : JSON.readTree(Quillhaven.placements())) {
            Map<String, Object> item = Map.of(
                    "collection",
                    one.path("collection").asString(),
                    "id",
                    one.path("id").asString());
            send(
                    "PUT",
                    "/sites/" + SITE + "/placements",
                    JSON.writeValueAsString(Map.of(
                            "items",
                            List.of(item),
                            "tier",
                            one.path("tier").asString(),
                            "place",
                            one.path("place").asInt(),
                            "from",
                            today.toString(),
                            "until",
                            today.plusDays(one.path("days").asInt()).toString())),
                    "application/json",
                    null);
        }
    }

    /**
     * Sets up where each collection can be read from on the stand-in website; what is set up already follows the site's
     * address.
     */
    private void sources(String siteAddress) {
        JsonNode known = JSON.readTree(
                send("GET", "/sites/" + SITE + "/sources", null, null, null).body());
        for (JsonNode source : JSON.readTree(Quillhaven.sources(siteAddress))) {
            JsonNode before = known.valueStream()
                    .filter(one -> one.path("name").equals(source.path("name")))
                    .findFirst()
                    .orElse(null);
            String address = before == null
                    ? "/sites/" + SITE + "/sources"
                    : "/sources/" + before.path("id").asLong();
            send(before == null ? "POST" : "PUT", address, JSON.writeValueAsString(source), "application/json", null);
        }
    }

    /** @param wanted what differs from a new search */
    private void publish(String search, JsonNode wanted) {
        HttpResponse<String> draft = send("GET", search + "/draft", null, null, null);
        ObjectNode design = (ObjectNode) JSON.readTree(draft.body());
        if (wanted.has("address")) {
            ((ObjectNode) design.path("places").path("page"))
                    .put("address", wanted.path("address").asString());
        }
        if (wanted.has("collections")) {
            List<String> searched = wanted.path("collections")
                    .valueStream()
                    .map(JsonNode::asString)
                    .toList();
            ((ArrayNode) design.path("reach").path("collections"))
                    .removeIf(one -> !searched.contains(one.path("collection").asString()));
            // A weight for a field that none of these has would be remarked on.
            Set<String> fields = JSON.readTree(send("GET", "/sites/" + SITE + "/collections", null, null, null)
                            .body())
                    .valueStream()
                    .filter(one -> searched.contains(one.path("key").asString()))
                    .flatMap(one -> one.path("fields").valueStream())
                    .map(field -> field.path("key").asString())
                    .collect(Collectors.toSet());
            ((ArrayNode) design.path("words").path("weights"))
                    .removeIf(weight -> !fields.contains(weight.path("field").asString()));
        }
        design.set("filters", wanted.path("filters"));
        for (String part : List.of("order", "tiers", "pins")) {
            if (wanted.has(part)) {
                ((ObjectNode) design.path("ranking")).set(part, wanted.path(part));
            }
        }
        ObjectNode appearance = (ObjectNode) design.path("appearance");
        for (String part : List.of("look", "texts")) {
            if (wanted.has(part)) {
                appearance.set(part, wanted.path(part));
            }
        }
        if (wanted.has("cards")) {
            appearance.set("cards", cards(search, wanted.path("cards")));
        }
        HttpResponse<String> changed = send(
                "PUT",
                search + "/draft",
                JSON.writeValueAsString(design),
                "application/json",
                draft.headers().firstValue("ETag").orElse(""));
        send(
                "POST",
                search + "/publish",
                "",
                "application/json",
                changed.headers().firstValue("ETag").orElse(""));
    }

    /** Each begins from a ready card, called by its name; where one collection is searched, it is the card of all. */
    private ArrayNode cards(String search, JsonNode wanted) {
        JsonNode choices = JSON.readTree(
                send("GET", search + "/draft/cards", null, null, null).body());
        ArrayNode cards = JSON.createArrayNode();
        for (JsonNode card : wanted) {
            JsonNode body = choices.path("collections")
                    .valueStream()
                    .filter(one -> one.path("collection").equals(card.path("collection")))
                    .flatMap(one -> one.path("ready").valueStream())
                    .filter(ready -> ready.path("name").equals(card.path("ready")))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("There is no ready card for " + card))
                    .path("body");
            cards.addObject()
                    .put("place", card.path("place").asString())
                    .put(
                            "collection",
                            wanted.size() == 1 ? null : card.path("collection").asString())
                    .set("body", body);
        }
        return cards;
    }

    private @Nullable String get(String path) {
        HttpResponse<String> response = exchange(request(path).GET().build());
        return response.statusCode() == 404
                ? null
                : checked("GET", path, response).body();
    }

    private HttpResponse<String> send(
            String method, String path, @Nullable String body, @Nullable String type, @Nullable String ifMatch) {
        HttpRequest.Builder request = request(path)
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        if (type != null) {
            request.header("Content-Type", type);
        }
        if (ifMatch != null) {
            request.header("If-Match", ifMatch);
        }
        return checked(method, path, exchange(request.build()));
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(service + "/api/owner" + path))
                .timeout(Duration.ofMinutes(2))
                .header("Authorization", "Bearer " + accessKey);
    }

    private HttpResponse<String> exchange(HttpRequest request) {
        try {
            return client.send(request, HttpResponse.BodyHandlers.ofString());
        } catch (IOException unreachable) {
            throw new IllegalStateException("The service at " + service + " does not answer", unreachable);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("stopped while loading", stopped);
        }
    }

    private static HttpResponse<String> checked(String method, String path, HttpResponse<String> response) {
        if (response.statusCode() >= 300) {
            throw new IllegalStateException(
                    "%s %s was refused with %d: %s".formatted(method, path, response.statusCode(), response.body()));
        }
        return response;
    }
}
