package tidylantern.e2e;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;

/** Stands before a service, and turns away the first that ask for results, as the service does under load. */
final class BusyService implements AutoCloseable {
    private static final List<String> PASSED_ON = List.of("content-type", "access-control-allow-origin", "vary");

    private final HttpClient client = HttpClient.newHttpClient();
    private final ExecutorService threads = Executors.newCachedThreadPool();
    private final AtomicInteger refused = new AtomicInteger();
    private final HttpServer server;
    private final String service;
    private final int turnedAway;

    BusyService(String service, int turnedAway) throws IOException {
        this.service = service;
        this.turnedAway = turnedAway;
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(threads);
        server.createContext("/", this::answer);
        server.start();
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            if (exchange.getRequestURI().getPath().endsWith("/results") && refused.get() < turnedAway) {
                refused.incrementAndGet();
                exchange.getResponseHeaders().set("Retry-After", "1");
                exchange.getResponseHeaders().set("Access-Control-Allow-Origin", "*");
                exchange.getResponseHeaders().set("Access-Control-Expose-Headers", "Retry-After");
                exchange.sendResponseHeaders(503, -1);
                return;
            }
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(service + exchange.getRequestURI()));
            String origin = exchange.getRequestHeaders().getFirst("Origin");
            if (origin != null) {
                request.header("Origin", origin);
            }
            HttpResponse<byte[]> response = client.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            for (String name : PASSED_ON) {
                response.headers().firstValue(name).ifPresent(value -> exchange.getResponseHeaders()
                        .set(name, value));
            }
            exchange.sendResponseHeaders(
                    response.statusCode(), response.body().length == 0 ? -1 : response.body().length);
            exchange.getResponseBody().write(response.body());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    /** How many were turned away. */
    int refused() {
        return refused.get();
    }

    String address() {
        return "http://localhost:" + server.getAddress().getPort();
    }

    @Override
    public void close() {
        server.stop(0);
        threads.shutdown();
        client.close();
    }
}
