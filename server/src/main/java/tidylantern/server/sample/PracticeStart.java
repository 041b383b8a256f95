package tidylantern.server.sample;

import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnBooleanProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tidylantern.demo.Quillhaven;
import tidylantern.server.key.SearchKey;
import tidylantern.server.site.Sites;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A start for practice: takes the sample site into an installation of its own, asks it over HTTP as visitors would, and
 * ends. The Java that runs it notes meanwhile what the service needs, so that later starts find it ready.
 */
@Component
@ConditionalOnBooleanProperty("tidy-lantern.practice")
class PracticeStart {
    private static final Logger LOG = LoggerFactory.getLogger(PracticeStart.class);

    /**
     * One was measured to be too little for Java to compile what an answer needs; four took a third of the practice.
     */
    private static final int ROUNDS = 3;

    private final SampleSite sample;
    private final JsonMapper json;
    private int port;

    PracticeStart(SampleSite sample, JsonMapper json) {
        this.sample = sample;
        this.json = json;
    }

    @EventListener
    void note(WebServerInitializedEvent listening) {
        port = listening.getWebServer().getPort();
    }

    @EventListener
    void practise(ApplicationReadyEvent ready) throws IOException, InterruptedException {
        String service =
                "http://%s:%d".formatted(InetAddress.getLoopbackAddress().getHostAddress(), port);
        Sites.Site site = sample.take(service, "the service");
        String search = service + "/api/public/searches/"
                + sample.search(site).map(SearchKey::value).orElseThrow();
        try (HttpClient visitor = HttpClient.newHttpClient()) {
            for (String page : pages(service, search)) {
                ask(visitor, page);
            }
            for (int round = 0; round < ROUNDS; round++) {
                for (Quillhaven.Expected expected : Quillhaven.expected()) {
                    searchFor(visitor, search, expected.query());
                }
            }
        }
        LOG.info("Practised");
        end(ready.getApplicationContext());
    }

    private static List<String> pages(String service, String search) {
        return List.of(
                service + "/workbench/",
                service + "/api/owner/session",
                service + SampleSite.ROOT,
                search,
                search + "/look.css",
                search + "/texts");
    }

    /** A query while it is typed, once it is submitted, and gone on with: its next page, and each of its filters. */
    private void searchFor(HttpClient visitor, String search, String query) throws IOException, InterruptedException {
        for (int letters = 1; letters < query.length(); letters++) {
            ask(visitor, search + "/live?q=" + encoded(query.substring(0, letters)));
        }
        String results = search + "/results?q=" + encoded(query);
        JsonNode answer = json.readTree(ask(visitor, results));
        if (answer.path("pages").asInt() > 1) {
            ask(visitor, results + "&page=2");
        }
        for (JsonNode filter : answer.path("filters")) {
            JsonNode value = filter.path("values").path(0).path("value");
            if (value.isString()) {
                ask(visitor, results + "&" + filter.path("key").asString() + "=" + encoded(value.asString()));
            }
        }
    }

    /** Nothing is learned from failures, and whoever started this throws away what was. */
    private static String ask(HttpClient visitor, String address) throws IOException, InterruptedException {
        HttpResponse<String> answer =
                visitor.send(HttpRequest.newBuilder(URI.create(address)).build(), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != HttpStatus.OK.value()) {
            throw new IllegalStateException("%s gave %d".formatted(address, answer.statusCode()));
        }
        return answer.body();
    }

    private static String encoded(String query) {
        return URLEncoder.encode(query, StandardCharsets.UTF_8);
    }

    /** By a thread of its own, since the start that calls this must be over first. */
    private static void end(ConfigurableApplicationContext context) {
        Thread.ofPlatform().name("practised").start(() -> System.exit(SpringApplication.exit(context)));
    }
}
