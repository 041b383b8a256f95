package tidylantern.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tidylantern.demo.DemoLoader;
import tidylantern.demo.StandInSite;
import tidylantern.server.Api;
import tidylantern.server.RunningService;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The service with the Isles in it and their website beside it, as bin/demo starts them, on free ports. */
final class DemoWorld implements AutoCloseable {
    private static final Map<String, String> JSON = Map.of("Content-Type", "application/json");
    private static final String SEARCH = "/api/owner/searches/" + DemoLoader.SEARCH;

    private final RunningService service;
    private final StandInSite site;
    private final String draft;
    private final String trials;

    DemoWorld(Path data) {
        service = RunningService.on(data, List.of("localhost"));
        try {
            site = new StandInSite(0, service.address(), DemoLoader.SEARCH, LocalDate.now());
        } catch (IOException failure) {
            service.close();
            throw new UncheckedIOException(failure);
        }
        new DemoLoader(service.address(), RunningService.ACCESS_KEY).load(site.address(), LocalDate.now());
        draft = api().get(SEARCH + "/draft").text();
        trials = api().get(SEARCH + "/trials.csv").text();
    }

    /** Makes the demo's search what it was at first, for visitors too, with the trials it had. */
    void restoreSearch() {
        String tag = api().get(SEARCH + "/draft").header("ETag");
        Api.Answer changed = api().send(
                        "PUT", SEARCH + "/draft", draft, Map.of("Content-Type", "application/json", "If-Match", tag));
        api().send("POST", SEARCH + "/publish", "", Map.of("If-Match", changed.header("ETag")));
        api().get(SEARCH + "/trials").json().path("outcomes").forEach(outcome -> api().send(
                        "DELETE", SEARCH + "/trials/" + outcome.path("id").asLong(), null, Map.of()));
        api().send("POST", SEARCH + "/trials.csv", trials, Map.of("Content-Type", "text/csv"));
    }

    /** A new search over some collections; its key. */
    String newSearch(String name, List<String> collections) {
        String key = api().send(
                        "POST",
                        "/api/owner/sites/" + DemoLoader.SITE + "/searches",
                        "{\"name\":\"" + name + "\"}",
                        JSON)
                .json()
                .path("key")
                .asString();
        Api.Answer first = api().get("/api/owner/searches/" + key + "/draft");
        ObjectNode design = (ObjectNode) first.json();
        ((ArrayNode) design.path("reach").path("collections"))
                .removeIf(one -> !collections.contains(one.path("collection").asString()));
        Map<String, String> headers = new HashMap<>(JSON);
        headers.put("If-Match", first.header("ETag"));
        api().send("PUT", "/api/owner/searches/" + key + "/draft", design.toString(), headers);
        return key;
    }

    /** Has pages of another origin ask the searches of the Isles, beside those that may already. */
    synchronized void allow(String origin) {
        String path = "/api/owner/sites/" + DemoLoader.SITE;
        JsonNode known = api().get(path).json();
        // What a page that was left still tells is not turned away.
        String origins = Stream.concat(known.path("origins").valueStream().map(JsonNode::asString), Stream.of(origin))
                .distinct()
                .map(one -> "\"" + one + "\"")
                .collect(Collectors.joining(", "));
        String address = known.path("address").asString();
        Api.Answer changed = api().put(
                        path,
                        "{\"name\": \"Quillhaven Isles\", \"address\": \"%s\", \"origins\": [%s]}"
                                .formatted(address, origins));
        if (changed.status() != 200) {
            throw new IllegalStateException(changed.text());
        }
    }

    /** Has a page of the website be sent otherwise; for worlds of one test class alone. */
    void alter(String path, UnaryOperator<StandInSite.Sent> how) {
        site.alter(path, how);
    }

    String service() {
        return service.address();
    }

    String site() {
        return site.address();
    }

    Api api() {
        return service.api();
    }

    /** A page of the workbench for the site of the Isles. */
    String workbench(String path) {
        return service() + "/workbench/" + DemoLoader.SITE + path;
    }

    @Override
    public void close() {
        site.close();
        service.close();
    }
}
