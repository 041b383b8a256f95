package tidylantern.bench;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A service asked over HTTP, wherever it runs. */
abstract class AskedService implements AutoCloseable {
    static final String KEY = "tl_key_of_the_benchmarks";
    private static final JsonMapper JSON = new JsonMapper();

    private final HttpClient client =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();

    abstract String address();

    JsonNode send(String method, String path, @Nullable String body, String type, String ifMatch)
            throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address() + path))
                .header("Authorization", "Bearer " + KEY)
                .header("Content-Type", type)
                .header("If-Match", ifMatch)
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body))
                .build();
        HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() >= 300) {
            throw new IllegalStateException(
                    method + " " + path + " gave " + response.statusCode() + ": " + response.body());
        }
        return JSON.readTree(response.body());
    }

    /** Asks as a visitor's browser does; the total of what was found. */
    int ask(String search, String what, String query) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address() + "/api/public/searches/" + search + "/"
                        + what + "?q=" + URLEncoder.encode(query, StandardCharsets.UTF_8)))
                .build();
        return JSON.readTree(client.send(request, HttpResponse.BodyHandlers.ofString())
                        .body())
                .path("total")
                .asInt();
    }

    @Override
    public abstract void close();
}
