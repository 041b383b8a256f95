package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.SearchContext;
import tidylantern.server.Api;
import tidylantern.server.Designs;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Cards of items that nobody thought of when the card was composed. */
@ExtendWith(SharedDemo.class)
class OddCardsTest {
    private static DemoWorld world;
    private static HttpServer pictures;
    private static ExecutorService photographers;
    /** Until it is open, pictures are on their way. */
    private static final CountDownLatch ARRIVED = new CountDownLatch(1);

    @BeforeAll
    static void start(DemoWorld shared) throws IOException {
        world = shared;
        pictures = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        photographers = Executors.newCachedThreadPool();
        pictures.setExecutor(photographers);
        pictures.createContext("/tall.svg", exchange -> {
            awaitArrival();
            byte[] svg = "<svg xmlns='http://www.w3.org/2000/svg' width='1' height='10000'/>"
                    .getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("Content-Type", "image/svg+xml");
            exchange.sendResponseHeaders(200, svg.length);
            exchange.getResponseBody().write(svg);
            exchange.close();
        });
        pictures.createContext("/", exchange -> {
            awaitArrival();
            exchange.sendResponseHeaders(404, -1);
            exchange.close();
        });
        pictures.start();
    }

    private static void awaitArrival() {
        try {
            ARRIVED.await();
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
            throw new UncheckedIOException(new IOException(ended));
        }
    }

    @AfterAll
    static void stop() {
        ARRIVED.countDown();
        pictures.stop(0);
        photographers.shutdownNow();
    }

    private static String search(Api api, String shape) {
        String from = "http://localhost:" + pictures.getAddress().getPort();
        api.push("posts", """
                {"id": "long", "title": "%s", "image": {"url": "%s/tall.svg"}}
                {"id": "none", "title": "Nothing to see", "image": {"url": "%s/none.svg"}}
                """.formatted("x".repeat(500), from, from));
        String key = api.publishedSearch("Odd " + shape);
        String draft = "/api/owner/searches/" + key + "/draft";
        Api.Answer now = api.get(draft);
        ObjectNode design = (ObjectNode) now.json();
        Designs.set(design, "cards", JsonMapper.shared().readTree("""
                        [{"place": "list", "body": {"part": "group", "key": "card", "direction": "row", "parts": [
                          {"part": "picture", "key": "picture", "shape": "%s", "size": "third"},
                          {"part": "title", "key": "title", "lines": 6}]}}]""".formatted(shape)));
        api.send(
                "PUT",
                draft,
                design.toString(),
                Map.of("Content-Type", "application/json", "If-Match", now.header("ETag")));
        api.send(
                "POST",
                "/api/owner/searches/" + key + "/publish",
                "",
                Map.of("If-Match", api.get(draft).header("ETag")));
        return key;
    }

    @Test
    void longTitlesAndPicturesThatFailOrAreATowerKeepToTheirRoom() {
        Api api = world.api().withSite("odd");
        String square = search(api, "square");
        String natural = search(api, "natural");
        try (Browser phone = Browser.phone()) {
            phone.open(world.service() + "/s/" + square);
            SearchContext results = phone.inside("tidy-results");
            phone.untilTexts(results, ".card .title", titles -> titles.size() == 2);
            Object kept = heights(phone, results);
            ARRIVED.countDown();
            phone.until(
                    "pictures",
                    () -> phone.script(
                            "return [...arguments[0].querySelectorAll('img')].every(one => one.complete)", results));
            assertThat(heights(phone, results))
                    .as("room for pictures is kept until they are there, or fail")
                    .isEqualTo(kept);
            noneGoesBeyondTheEdge(phone);
            phone.mustBeAccessible("odd cards on a phone");

            phone.open(world.service() + "/s/" + natural);
            SearchContext tower = phone.inside("tidy-results");
            phone.untilTexts(tower, ".card .title", titles -> titles.size() == 2);
            assertThat((Boolean) phone.script(
                            "return [...arguments[0].querySelectorAll('.picture')]"
                                    + ".every(one => one.offsetHeight <= 1.5 * innerHeight + 1)",
                            tower))
                    .as("a picture of 1 by 10000")
                    .isTrue();
            noneGoesBeyondTheEdge(phone);
        }
    }

    private static List<?> heights(Browser browser, SearchContext results) {
        return (List<?>) browser.script(
                "return [...arguments[0].querySelectorAll('.card, .picture')].map(one => one.offsetHeight)", results);
    }

    private static void noneGoesBeyondTheEdge(Browser browser) {
        assertThat((Boolean) browser.script("return document.documentElement.scrollWidth <= innerWidth"))
                .isTrue();
    }
}
