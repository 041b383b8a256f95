package tidylantern.e2e;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Map;

/** A site of one page, which stands at every address of it. */
final class OnePageSite implements AutoCloseable {
    private final HttpServer server;

    OnePageSite(String html) throws IOException {
        this(html, Map.of());
    }

    private OnePageSite(String html, Map<String, String> headers) throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        serve("/", "text/html; charset=utf-8", html, headers);
        server.start();
    }

    /** @param headers of its page */
    static OnePageSite of(String html, Map<String, String> headers) {
        try {
            return new OnePageSite(html, headers);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    /** Has something else at an address, and below it. */
    OnePageSite serve(String path, String type, String text) {
        return serve(path, type, text, Map.of());
    }

    private OnePageSite serve(String path, String type, String text, Map<String, String> headers) {
        byte[] body = text.getBytes(StandardCharsets.UTF_8);
        server.createContext(path, exchange -> {
            headers.forEach((name, value) -> exchange.getResponseHeaders().set(name, value));
            exchange.getResponseHeaders().set("Content-Type", type);
            exchange.sendResponseHeaders(200, body.length);
            exchange.getResponseBody().write(body);
            exchange.close();
        });
        return this;
    }

    String address() {
        return "http://localhost:" + server.getAddress().getPort();
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
