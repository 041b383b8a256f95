package tidylantern.bench.peer;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.Executors;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@link BareLucene} in a process of its own behind the JDK's web server, with nothing around it: what an answer over
 * HTTP takes whoever does nothing but the work.
 */
public final class BareLuceneService {
    /** What it says once it can be asked, with its port behind it. */
    public static final String READY = "asked at port ";

    private static final JsonMapper JSON = new JsonMapper();
    private static final String PARAMETER = "q=";
    private static final int THREADS = 2;

    private BareLuceneService() {}

    /** Answers until its process is ended. */
    public static void main(String[] arguments) throws IOException {
        BareLucene lucene = new BareLucene(Path.of(arguments[0]));
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(Executors.newFixedThreadPool(THREADS));
        server.createContext("/", exchange -> answer(exchange, lucene));
        server.start();
        System.out.println(READY + server.getAddress().getPort());
    }

    private static void answer(HttpExchange exchange, BareLucene lucene) throws IOException {
        String asked = exchange.getRequestURI().getRawQuery().substring(PARAMETER.length());
        byte[] answer = JSON.writeValueAsBytes(lucene.answer(URLDecoder.decode(asked, StandardCharsets.UTF_8)));
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(200, answer.length);
        try (exchange) {
            exchange.getResponseBody().write(answer);
        }
    }
}
