package tidylantern.e2e;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;

/** A site of one page, which stands at every address of it. */
final class OnePageSite implements AutoCloseable {
    private final HttpServer server;

    OnePageSite(String html) throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        serve("/", "text/html; charset=utf-8", html);
        server.start();
    }

    /** Has something else at an address, and below it. */
    OnePageSite serve(String path, String type, String text) {
        byte[] body = text.getBytes(StandardCharsets.UTF_8);
        server.createContext(path, exchange -> {
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
