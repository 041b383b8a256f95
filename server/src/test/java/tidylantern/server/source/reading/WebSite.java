package tidylantern.server.source.reading;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.zip.GZIPOutputStream;

/** A website on this machine whose every answer a test decides. */
public final class WebSite implements AutoCloseable {
    private final HttpServer server;
    private final Map<String, Answer> answers = new ConcurrentHashMap<>();
    private final List<String> asked = new CopyOnWriteArrayList<>();

    @FunctionalInterface
    public interface Answer {
        void to(HttpExchange exchange) throws IOException;
    }

    public WebSite() {
        try {
            server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
        server.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
        server.createContext("/", exchange -> {
            try (exchange) {
                asked.add(exchange.getRequestURI().toString());
                answers.getOrDefault(
                                exchange.getRequestURI().toString(),
                                none -> send(
                                        none,
                                        404,
                                        "text/html",
                                        "<title>Not here</title>".getBytes(StandardCharsets.UTF_8),
                                        Map.of()))
                        .to(exchange);
            }
        });
        server.start();
    }

    public String address() {
        return "http://localhost:" + server.getAddress().getPort();
    }

    public String host() {
        return "localhost:" + server.getAddress().getPort();
    }

    public URI uri(String path) {
        return URI.create(address() + path);
    }

    /** What was asked for since the last time that this was asked, in order. */
    public List<String> asked() {
        List<String> all = List.copyOf(asked);
        asked.clear();
        return all;
    }

    /** As it was at first: nothing is here. */
    public void empty() {
        answers.clear();
        asked.clear();
    }

    public WebSite answer(String path, Answer answer) {
        answers.put(path, answer);
        return this;
    }

    /** @param body in which {@code {site}} stands for the site's address */
    public WebSite has(String path, String type, String body) {
        return answer(
                path,
                exchange -> send(
                        exchange,
                        200,
                        type,
                        body.replace("{site}", address()).getBytes(StandardCharsets.UTF_8),
                        Map.of()));
    }

    /** A page with an ETag, which answers 304 to whoever has it. */
    public WebSite page(String path, String html) {
        return answer(path, exchange -> {
            String body = html.replace("{site}", address());
            String tag = "\"" + Integer.toHexString(body.hashCode()) + "\"";
            boolean same = tag.equals(exchange.getRequestHeaders().getFirst("If-None-Match"));
            send(
                    exchange,
                    same ? 304 : 200,
                    "text/html; charset=utf-8",
                    same ? new byte[0] : body.getBytes(StandardCharsets.UTF_8),
                    Map.of("ETag", tag));
        });
    }

    public WebSite redirect(String path, String to) {
        return answer(path, exchange -> send(exchange, 302, "text/html", new byte[0], Map.of("Location", to)));
    }

    public WebSite status(String path, int status) {
        return answer(
                path,
                exchange -> send(
                        exchange,
                        status,
                        "text/html",
                        "<title>Trouble</title>".getBytes(StandardCharsets.UTF_8),
                        Map.of()));
    }

    public void gone(String path) {
        answers.remove(path);
    }

    public static void send(HttpExchange exchange, int status, String type, byte[] body, Map<String, String> headers)
            throws IOException {
        exchange.getResponseHeaders().set("Content-Type", type);
        new HashMap<>(headers).forEach(exchange.getResponseHeaders()::set);
        exchange.sendResponseHeaders(status, body.length == 0 ? -1 : body.length);
        if (body.length > 0) {
            exchange.getResponseBody().write(body);
        }
    }

    public static byte[] gzip(String text) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(bytes)) {
            out.write(text.getBytes(StandardCharsets.UTF_8));
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return bytes.toByteArray();
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
