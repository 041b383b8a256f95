package tidylantern.bench;

import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.List;
import tidylantern.bench.peer.PeerCorpus;
import tidylantern.core.reference.WordNet;

/**
 * WordNet's queries over HTTP: reckoned, given again, and asked again by a browser that has the answer. The only
 * benchmark in which answers are kept.
 */
final class AgainBench {
    private static final int ROUNDS_TO_WARM = 4;
    private static final int ROUNDS = 4;
    private static final HttpClient CLIENT =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();

    private AgainBench() {}

    static void run() throws Exception {
        List<WordNet.Entry> entries = WordNet.entries();
        try (ServicePeer service = new ServicePeer(
                Files.createTempDirectory("tidy-lantern-bench"), "-Xmx512m", "-Dtidy-lantern.kept-answers=16MB")) {
            service.takeWithCategories(PeerCorpus.ofEntries(entries, entries.size()));
            ServicePeer.letSettle();
            Timings timings = new Timings();
            for (int round = 0; round < ROUNDS_TO_WARM + ROUNDS; round++) {
                if (round == ROUNDS_TO_WARM) {
                    timings.forget();
                }
                for (String query : WordNetQueries.of(entries)) {
                    // What no filter is called by changes nothing but that the question is another.
                    String address = service.service().address() + "/api/public/searches/" + service.search()
                            + "/results?q="
                            + URLEncoder.encode(query, StandardCharsets.UTF_8) + "&round=" + round;
                    String[] tag = new String[1];
                    timings.measure("reckoned", () -> {
                        HttpResponse<String> answer = send(HttpRequest.newBuilder(URI.create(address)), 200);
                        tag[0] = answer.headers().firstValue("ETag").orElseThrow();
                        return answer.body().length();
                    });
                    timings.measure("given again", () -> send(HttpRequest.newBuilder(URI.create(address)), 200)
                            .body()
                            .length());
                    timings.measure("by who has it", () -> send(
                                    HttpRequest.newBuilder(URI.create(address)).header("If-None-Match", tag[0]), 304)
                            .body()
                            .length());
                }
            }
            timings.print("reckoned");
        }
    }

    private static HttpResponse<String> send(HttpRequest.Builder request, int status) throws Exception {
        HttpResponse<String> answer = CLIENT.send(request.build(), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != status) {
            throw new IllegalStateException(request.build().uri() + " gave " + answer.statusCode());
        }
        return answer;
    }
}
