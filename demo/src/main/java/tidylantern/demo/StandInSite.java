package tidylantern.demo;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.util.HexFormat;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.function.UnaryOperator;

/**
 * The website of the Quillhaven Isles, served on a port of its own, and so on another origin than the service, which
 * stands in its content security policy.
 */
public final class StandInSite implements AutoCloseable {
    private final HttpServer server;
    private final IslePages pages;
    private final String service;
    /** By path, what becomes of pages on their way. */
    private final Map<String, UnaryOperator<Sent>> altered = new ConcurrentHashMap<>();

    /** A page as it is sent: what it says, and the policy that goes with it. */
    public record Sent(String page, String policy) {}

    /**
     * Starts serving at once.
     *
     * @param port 0 for any that is free
     * @param service origin of the service, without a slash at its end
     * @param search key of the search that the site shows
     */
    public StandInSite(int port, String service, String search, LocalDate today) throws IOException {
        this.service = service;
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        pages = new IslePages(new Quillhaven(today), new IslePages.Whereabouts(address(), "", service, search, true));
        server.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
        server.createContext("/", this::answer);
        server.start();
    }

    /** Where the site is, without a slash at the end. */
    public String address() {
        return "http://localhost:" + server.getAddress().getPort();
    }

    /** Has a page be sent otherwise from now on, as sites have faults; {@code page -> page} mends it. */
    public void alter(String path, UnaryOperator<Sent> how) {
        altered.put(path, how);
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            URI uri = exchange.getRequestURI();
            if (!exchange.getRequestMethod().matches("GET|HEAD")) {
                exchange.getResponseHeaders().set("Allow", "GET, HEAD");
                send(exchange, new IslePages.Page(405, "text/plain", "GET only".getBytes(StandardCharsets.UTF_8)));
                return;
            }
            try {
                send(exchange, pages.at(uri.getPath()));
            } catch (RuntimeException failure) {
                String said = "<!doctype html><title>Error</title><p>The demo site failed: "
                        + failure.getClass().getSimpleName();
                send(exchange, new IslePages.Page(500, "text/html", said.getBytes(StandardCharsets.UTF_8)));
                throw failure;
            }
        }
    }

    private void send(HttpExchange exchange, IslePages.Page page) throws IOException {
        UnaryOperator<Sent> how = altered.get(exchange.getRequestURI().getPath());
        // As strict as a careful site's would be: the search must work under it.
        String policy =
                "default-src 'none'; script-src 'self' %s; connect-src %s; img-src 'self'; style-src 'self'; font-src 'self'; base-uri 'none'; form-action 'self' %s"
                        .formatted(service, service, service);
        if (how == null) {
            send(exchange, page.status(), page.type(), page.body(), policy);
        } else {
            Sent sent = how.apply(new Sent(new String(page.body(), StandardCharsets.UTF_8), policy));
            send(exchange, page.status(), page.type(), sent.page().getBytes(StandardCharsets.UTF_8), sent.policy());
        }
    }

    private void send(HttpExchange exchange, int status, String type, byte[] body, String policy) throws IOException {
        exchange.getResponseHeaders().set("Content-Type", type);
        exchange.getResponseHeaders().set("Cache-Control", "no-cache");
        exchange.getResponseHeaders().set("Content-Security-Policy", policy);
        exchange.getResponseHeaders().set("X-Content-Type-Options", "nosniff");
        String tag = "\"%s\"".formatted(HexFormat.of().formatHex(sha256(body), 0, 12));
        exchange.getResponseHeaders().set("ETag", tag);
        if (status == 200 && tag.equals(exchange.getRequestHeaders().getFirst("If-None-Match"))) {
            exchange.sendResponseHeaders(304, -1);
            return;
        }
        boolean head = exchange.getRequestMethod().equals("HEAD");
        exchange.sendResponseHeaders(status, head || body.length == 0 ? -1 : body.length);
        if (!head && body.length > 0) {
            exchange.getResponseBody().write(body);
        }
    }

    private static byte[] sha256(byte[] body) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(body);
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("every Java has SHA-256", impossible);
        }
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
