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
import java.util.stream.IntStream;
import java.util.stream.Stream;
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

/**
 * A start for practice: takes the sample site into an installation of its own, asks it over HTTP as visitors would, and
 * ends. The Java that runs it notes meanwhile what the service needs, so that later starts find it ready.
 */
@Component
@ConditionalOnBooleanProperty("tidy-lantern.practice")
class PracticeStart {
    private static final Logger LOG = LoggerFactory.getLogger(PracticeStart.class);

    private final SampleSite sample;
    private int port;

    PracticeStart(SampleSite sample) {
        this.sample = sample;
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
            for (String address : asked(service, search)) {
                int status = visitor.send(
                                HttpRequest.newBuilder(URI.create(address)).build(),
                                HttpResponse.BodyHandlers.discarding())
                        .statusCode();
                if (status != HttpStatus.OK.value()) {
                    // Nothing is learned from failures, and whoever started this throws away what was.
                    throw new IllegalStateException("%s gave %d".formatted(address, status));
                }
            }
        }
        LOG.info("Practised");
        end(ready.getApplicationContext());
    }

    /** Pages, and each of the sample's queries while it is typed and once it is submitted. */
    private static List<String> asked(String service, String search) {
        List<String> queries =
                Quillhaven.expected().stream().map(Quillhaven.Expected::query).toList();
        Stream<String> answers = queries.stream()
                .flatMap(query -> Stream.concat(
                        IntStream.range(1, query.length())
                                .mapToObj(letters -> search + "/live?q=" + encoded(query.substring(0, letters))),
                        Stream.of(search + "/results?q=" + encoded(query))));
        Stream<String> pages = Stream.of(
                service + "/workbench/",
                service + "/api/owner/session",
                service + SampleSite.ROOT,
                search,
                search + "/look.css",
                search + "/texts");
        return Stream.concat(pages, answers).toList();
    }

    private static String encoded(String query) {
        return URLEncoder.encode(query, StandardCharsets.UTF_8);
    }

    /** By a thread of its own, since the start that calls this must be over first. */
    private static void end(ConfigurableApplicationContext context) {
        Thread.ofPlatform().name("practised").start(() -> System.exit(SpringApplication.exit(context)));
    }
}
