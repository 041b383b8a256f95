package tidylantern.server.turn;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tidylantern.server.Api;
import tidylantern.server.RunningService;

/** Answers that wait for their turn while whoever asked closes the connection, or waits on. */
class AbandonedAnswersTest {
    @TempDir
    private static Path data;

    private static RunningService service;
    private static String search;
    private static AnswerTurns turns;
    private static final ExecutorService HOLDERS = Executors.newVirtualThreadPerTaskExecutor();

    private final CountDownLatch go = new CountDownLatch(1);

    @BeforeAll
    static void start() {
        service = RunningService.on(data);
        Api api = service.api().withSite();
        api.push("posts", "{\"id\":\"a\",\"title\":\"Bread\"}");
        search = api.publishedSearch("Posts");
        turns = service.part(AnswerTurns.class);
    }

    @AfterAll
    static void stop() {
        service.close();
        HOLDERS.shutdownNow();
    }

    @BeforeEach
    void holdAllTurns() throws InterruptedException {
        int all = Runtime.getRuntime().availableProcessors();
        CountDownLatch held = new CountDownLatch(all);
        for (int n = 0; n < all; n++) {
            HOLDERS.submit(() -> turns.answer(new Asker("owner", () -> false), AnswerTurns.Kind.WORK, 0, () -> {
                held.countDown();
                go.await();
                return "";
            }));
        }
        held.await();
    }

    @AfterEach
    void letGo() {
        go.countDown();
    }

    private static Socket connect() throws IOException {
        URI address = URI.create(service.address());
        return new Socket(address.getHost(), address.getPort());
    }

    private static void ask(Socket connection, String typed, boolean last) throws IOException {
        connection
                .getOutputStream()
                .write("GET /api/public/searches/%s/live?q=%s HTTP/1.1\r\nHost: localhost\r\n%s\r\n"
                        .formatted(search, typed, last ? "Connection: close\r\n" : "")
                        .getBytes(StandardCharsets.US_ASCII));
    }

    private static void untilSoManyWait(int many) {
        while (turns.waiting() != many) {
            Thread.onSpinWait();
        }
    }

    @Test
    void anAnswerThatNobodyWaitsForAnyMoreGivesItsPlaceUp() throws IOException {
        try (Socket leaving = connect();
                Socket staying = connect()) {
            ask(leaving, "bre", true);
            ask(staying, "bread", true);
            untilSoManyWait(2);
            // As far as the service sees, this is a closed connection.
            leaving.shutdownOutput();
            untilSoManyWait(1);
            go.countDown();
            assertThat(new BufferedReader(new InputStreamReader(staying.getInputStream(), StandardCharsets.UTF_8))
                            .readLine())
                    .isEqualTo("HTTP/1.1 200 ");
        }
    }

    @Test
    void whoSendsTheNextQuestionBeforeTheAnswerCameGetsBoth() throws Exception {
        try (Socket connection = connect()) {
            ask(connection, "bre", false);
            untilSoManyWait(1);
            ask(connection, "bread", true);
            CountDownLatch looked = new CountDownLatch(3);
            HOLDERS.submit(() -> turns.answer(
                    new Asker("another", () -> {
                        looked.countDown();
                        return false;
                    }),
                    AnswerTurns.Kind.WORK,
                    0,
                    () -> ""));
            looked.await();
            assertThat(turns.waiting()).as("it was looked for, and is there").isEqualTo(2);
            go.countDown();
            BufferedReader answers =
                    new BufferedReader(new InputStreamReader(connection.getInputStream(), StandardCharsets.UTF_8));
            assertThat(answers.lines()
                            .filter(line -> line.contains("\"query\":\"bread\""))
                            .findFirst())
                    .isPresent();
        }
    }
}
