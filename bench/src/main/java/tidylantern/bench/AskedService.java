package tidylantern.bench;

import java.io.IOException;
import java.io.InputStream;
import java.net.HttpURLConnection;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import tidylantern.demo.DemoLoader;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A service asked over HTTP, wherever it runs. */
abstract class AskedService implements AutoCloseable {
    static final String KEY = "tl_key_of_the_benchmarks";
    private static final JsonMapper JSON = new JsonMapper();

    private final HttpClient client =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();

    abstract String address();

    /** Brings the demo in, as of today. */
    void takeDemo() throws IOException, InterruptedException {
        new DemoLoader(address(), KEY).load("https://isles.example", LocalDate.now(ZoneId.systemDefault()));
    }

    JsonNode get(String path) throws IOException, InterruptedException {
        return send("GET", path, HttpRequest.BodyPublishers.noBody(), "application/json", "");
    }

    JsonNode send(String method, String path, String body, String type, String ifMatch)
            throws IOException, InterruptedException {
        return send(method, path, HttpRequest.BodyPublishers.ofString(body), type, ifMatch);
    }

    JsonNode send(String method, String path, HttpRequest.BodyPublisher body, String type, String ifMatch)
            throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address() + path))
                .header("Authorization", "Bearer " + KEY)
                .header("Content-Type", type)
                .header("If-Match", ifMatch)
                .method(method, body)
                .build();
        HttpResponse<String> response = client.send(request, HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() >= 300) {
            throw new IllegalStateException(
                    method + " " + path + " gave " + response.statusCode() + ": " + response.body());
        }
        return JSON.readTree(response.body());
    }

    /**
     * Asks as a visitor's browser does, on this thread: what is measured is the service, and not by how many threads a
     * client hands its answer on.
     *
     * @return the total of what was found
     */
    int ask(String search, String what, String query) throws IOException {
        return ask(search, what, query, "");
    }

    /** @param further parameters as they stand in the address, each after an ampersand */
    int ask(String search, String what, String query, String further) throws IOException {
        URI address = URI.create(address() + "/api/public/searches/" + search + "/" + what + "?q="
                + URLEncoder.encode(query, StandardCharsets.UTF_8) + further);
        HttpURLConnection connection = (HttpURLConnection) address.toURL().openConnection();
        if (connection.getResponseCode() != HttpURLConnection.HTTP_OK) {
            throw new IllegalStateException(query + " gave " + connection.getResponseCode());
        }
        try (InputStream answer = connection.getInputStream()) {
            return JSON.readTree(answer.readAllBytes()).path("total").asInt();
        }
    }

    @Override
    public abstract void close();
}
