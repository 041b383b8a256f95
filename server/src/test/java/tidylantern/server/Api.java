package tidylantern.server;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A client as a script or a browser would be one: keeps cookies, sends what it is told to. */
public final class Api {
    private static final JsonMapper JSON = new JsonMapper();

    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .build();
    private final String service;
    private final @Nullable String accessKey;
    /** Whether a browser's session goes with its requests, and so the token that every change needs. */
    private boolean inSession;
    /** Key of the site that is pushed to and searched. */
    private String site = "isles";

    /** @param accessKey null to send none */
    public Api(String service, @Nullable String accessKey) {
        this.service = service;
        this.accessKey = accessKey;
    }

    /** An answer; its body is parsed where it is JSON. */
    public record Answer(int status, Map<String, List<String>> headers, String text) {
        public JsonNode json() {
            return JSON.readTree(text);
        }

        public String header(String name) {
            return headers.entrySet().stream()
                    .filter(header -> header.getKey().equalsIgnoreCase(name))
                    .flatMap(header -> header.getValue().stream())
                    .findFirst()
                    .orElse("");
        }

        /** The ids of the hits, in their order. */
        public List<String> hits() {
            return StreamSupport.stream(json().path("hits").spliterator(), false)
                    .map(hit -> hit.path("id").asString())
                    .toList();
        }
    }

    public Answer get(String path) {
        return send("GET", path, null, Map.of());
    }

    /** An answer that is no text. */
    public byte[] bytes(String path) {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(service + path)).timeout(Duration.ofSeconds(60));
        if (accessKey != null) {
            request.header("Authorization", "Bearer " + accessKey);
        }
        try {
            return client.send(request.build(), HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException failure) {
            throw new java.io.UncheckedIOException(failure);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    public Answer put(String path, String body) {
        return send("PUT", path, body, Map.of("Content-Type", "application/json"));
    }

    public Answer post(String path, String body) {
        return send("POST", path, body, Map.of("Content-Type", "application/json"));
    }

    /** Pushes JSON Lines into a collection of the site. */
    public Answer push(String collection, String lines) {
        return send(
                "PUT",
                site() + "/collections/" + collection + "/items",
                lines,
                Map.of("Content-Type", "application/jsonl"));
    }

    public Answer send(String method, String path, @Nullable String body, Map<String, String> headers) {
        return sendBytes(method, path, body == null ? null : body.getBytes(StandardCharsets.UTF_8), headers);
    }

    public Answer sendBytes(String method, String path, byte @Nullable [] body, Map<String, String> headers) {
        return publish(
                method,
                path,
                body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofByteArray(body),
                headers);
    }

    /** Sends a body without saying how long it is. */
    public Answer sendChunked(String method, String path, String body, Map<String, String> headers) {
        return publish(
                method,
                path,
                HttpRequest.BodyPublishers.ofInputStream(
                        () -> new ByteArrayInputStream(body.getBytes(StandardCharsets.UTF_8))),
                headers);
    }

    private Answer publish(String method, String path, HttpRequest.BodyPublisher body, Map<String, String> headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(service + path))
                .timeout(Duration.ofSeconds(60))
                .method(method, body);
        Map<String, String> all = new LinkedHashMap<>(headers);
        if (accessKey != null) {
            all.putIfAbsent("Authorization", "Bearer " + accessKey);
        }
        if (inSession && !method.equals("GET")) {
            all.putIfAbsent("X-XSRF-TOKEN", cookie("XSRF-TOKEN"));
        }
        all.forEach(request::header);
        try {
            HttpResponse<String> response = client.send(request.build(), HttpResponse.BodyHandlers.ofString());
            return new Answer(response.statusCode(), response.headers().map(), response.body());
        } catch (IOException failure) {
            throw new java.io.UncheckedIOException(failure);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    /** A browser that nobody has signed in with yet, as the workbench uses it. */
    public static Api browser(String service) {
        Api browser = new Api(service, null);
        browser.inSession = true;
        browser.get("/api/owner/session");
        return browser;
    }

    /** Signs in with a {@link #browser}. */
    public Answer signIn(String name, String password) {
        return post("/api/owner/session", "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(name, password));
    }

    /** The value of a cookie that the service set, or an empty text. */
    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    /** Makes the site "isles" with a collection of posts. */
    public Api withSite() {
        return withSite("isles");
    }

    /** Makes a site of this key, with a collection of posts: for tests that share a service and no content. */
    public Api withSite(String key) {
        on(key);
        post("/api/owner/sites", "{\"name\":\"" + key + "\",\"address\":\"https://isles.example\"}");
        put(site() + "/collections/posts", "{\"label\":\"Posts\",\"language\":\"en\"}");
        return this;
    }

    /** For a site that is there. */
    public Api on(String key) {
        site = key;
        return this;
    }

    /** Where the site is. */
    public String site() {
        return "/api/owner/sites/" + site;
    }

    /**
     * Brings a file into a collection, with the mapping that is guessed for it.
     *
     * @return how many items were added
     */
    public int bringIn(String collection, byte[] file) {
        String upload = sendBytes("POST", site() + "/uploads", file, Map.of("Content-Type", "application/octet-stream"))
                .json()
                .path("upload")
                .asString();
        String settings = "{\"kind\":\"file\",\"upload\":\"" + upload + "\"}";
        String mapping = post(
                        site() + "/source-previews",
                        "{\"settings\":%s,\"collection\":\"%s\",\"fresh\":true}".formatted(settings, collection))
                .json()
                .path("mapping")
                .toString();
        String source = post(
                        site() + "/sources",
                        "{\"collection\":\"%s\",\"name\":\"File\",\"settings\":%s,\"mapping\":%s,\"removesMissing\":true,\"schedule\":\"never\"}"
                                .formatted(collection, settings, mapping))
                .json()
                .path("id")
                .toString();
        String sync = post("/api/owner/sources/" + source + "/syncs", "")
                .json()
                .path("id")
                .toString();
        JsonNode now = get("/api/owner/syncs/" + sync).json();
        while (now.path("state").asString().equals("running")) {
            Thread.onSpinWait();
            now = get("/api/owner/syncs/" + sync).json();
        }
        return now.path("report").path("added").asInt();
    }

    /** Makes a search with nothing decided and publishes it. */
    public String publishedSearch(String name) {
        return published("{\"name\":\"" + name + "\"}");
    }

    /** Makes a search as it is proposed for the site and publishes it. */
    public String proposedSearch(String name) {
        return published("{\"name\":\"" + name + "\",\"proposal\":{}}");
    }

    private String published(String wanted) {
        JsonNode made = post(site() + "/searches", wanted).json();
        String key = made.path("key").asString();
        send(
                "POST",
                "/api/owner/searches/" + key + "/publish",
                "",
                Map.of("If-Match", "\"" + made.path("revision").asLong() + "\""));
        return key;
    }

    public Answer results(String search, String query) {
        return get("/api/public/searches/" + search + "/results?q=" + URLEncoder.encode(query, StandardCharsets.UTF_8));
    }
}
