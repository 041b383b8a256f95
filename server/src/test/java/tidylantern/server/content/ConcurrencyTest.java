package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** Many at once: nothing is lost, nothing is seen half-done, and searches go on being answered. */
class ConcurrencyTest {
    private static final int WRITERS = 4;
    private static final int PUSHES = 5;
    private static final int ITEMS = 30;

    @Test
    void pushesInParallelAreAllKeptAndFoundWhole(@TempDir Path data) throws Exception {
        try (RunningService service = RunningService.on(data);
                ExecutorService threads = Executors.newFixedThreadPool(WRITERS + 2)) {
            Api owner = service.api().withSite();
            owner.push("posts", "{\"id\":\"first\",\"title\":\"lantern\"}");
            String search = owner.publishedSearch("Shore");
            List<Future<?>> work = new ArrayList<>();
            for (int w = 0; w < WRITERS; w++) {
                int writer = w;
                work.add(threads.submit((Callable<Void>) () -> {
                    Api api = service.api();
                    for (int p = 0; p < PUSHES; p++) {
                        StringBuilder lines = new StringBuilder();
                        for (int i = 0; i < ITEMS; i++) {
                            lines.append("{\"id\":\"%d-%d-%d\",\"title\":\"w%dp%dx\",\"field%d\":%d}\n"
                                    .formatted(writer, p, i, writer, p, writer, i));
                        }
                        assertThat(api.push("posts", lines.toString())
                                        .json()
                                        .path("added")
                                        .asInt())
                                .isEqualTo(ITEMS);
                        assertThat(api.results(search, "w" + writer + "p" + p + "x")
                                        .json()
                                        .path("total")
                                        .asInt())
                                .as("found as soon as it is answered")
                                .isEqualTo(ITEMS);
                    }
                    return null;
                }));
            }
            for (int r = 0; r < 2; r++) {
                work.add(threads.submit((Callable<Void>) () -> {
                    Api visitor = new Api(service.address(), null);
                    for (int i = 0; i < 60; i++) {
                        assertThat(visitor.results(search, "lantern").hits()).containsExactly("first");
                        int total = visitor.results(search, "w0p3x")
                                .json()
                                .path("total")
                                .asInt();
                        assertThat(total)
                                .as("a push is seen whole or not at all")
                                .isIn(0, ITEMS);
                    }
                    return null;
                }));
            }
            for (Future<?> one : work) {
                one.get();
            }
            assertThat(owner.get("/api/owner/sites/isles/collections/posts/items")
                            .json()
                            .path("total")
                            .asInt())
                    .isEqualTo(1 + WRITERS * PUSHES * ITEMS);
            assertThat(owner.get("/api/owner/sites/isles/collections")
                            .json()
                            .get(0)
                            .path("fields"))
                    .extracting(field -> field.path("key").asString())
                    .contains("title", "field0", "field1", "field2", "field3");
        }
    }
}
