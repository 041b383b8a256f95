package tidylantern.bench;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import tidylantern.bench.peer.PeerCorpus;

/**
 * Visitors at once, each at an address of its own: a letter typed every 120 ms and a live answer for each, given up
 * where the next letter comes first; then the page of results, a look at it, a filter, a look at that.
 *
 * @param typing asks for live answers: who closes a connection of one client may hit a page on it that has just begun
 * @param pages asks for pages
 * @param search its key
 * @param questions that they type, by chance
 */
record Crowd(HttpClient typing, HttpClient pages, String service, String search, List<PeerCorpus.Question> questions) {
    private static final Duration LETTER = Duration.ofMillis(120);
    private static final Duration LOOK = Duration.ofSeconds(2);
    private static final int BUSY = 503;

    /** What became of the questions of one crowd; times are from sending to the last byte. */
    static final class Heard {
        private final Timings timings = new Timings();
        private final AtomicInteger givenUp = new AtomicInteger();
        private final AtomicInteger busy = new AtomicInteger();
        /** How often each way to fail was met. */
        private final Map<String, Integer> failed = new ConcurrentSkipListMap<>();

        private double stolen;

        private synchronized void answered(String kind, long nanos) {
            timings.add(kind, nanos);
            timings.add("all", nanos);
        }

        void print(String who) {
            System.out.printf(
                    Locale.ROOT,
                    "%s: failed %s, %d told to come again, %d given up for the next letter%n",
                    who,
                    failed,
                    busy.get(),
                    givenUp.get());
            System.out.printf(Locale.ROOT, "  %.0f %% of the time was stolen%n", 100 * stolen);
            for (String kind : timings.contestants()) {
                double median = timings.percentile(kind, .5);
                System.out.printf(
                        Locale.ROOT,
                        "  %-8s %6d answers, median %7.2f ms, p95 %7.2f (%.2f x), worst %7.2f (%.2f x)%n",
                        kind,
                        timings.count(kind),
                        median,
                        timings.percentile(kind, .95),
                        timings.percentile(kind, .95) / median,
                        timings.percentile(kind, 1),
                        timings.percentile(kind, 1) / median);
            }
        }
    }

    /** A live answer on its way. */
    private record Typed(CompletableFuture<?> coming, AtomicBoolean givenUp) {
        private static final Typed NOTHING = new Typed(CompletableFuture.completedFuture(""), new AtomicBoolean());

        /**
         * As an element does whose visitor typed on: the connection is closed. Whether there was anything to give up.
         */
        private boolean giveUp() {
            if (coming.isDone()) {
                return false;
            }
            givenUp.set(true);
            coming.cancel(true);
            return true;
        }
    }

    /** So many visitors for so long. */
    Heard ask(int visitors, Duration howLong) throws InterruptedException, ExecutionException, IOException {
        Heard heard = new Heard();
        StolenTime begun = StolenTime.now();
        long until = System.nanoTime() + howLong.toNanos();
        try (ExecutorService threads = Executors.newVirtualThreadPerTaskExecutor()) {
            List<Future<?>> all = new ArrayList<>();
            for (int n = 0; n < visitors; n++) {
                String address = "192.0.2." + (n + 1);
                all.add(threads.submit(() -> {
                    // Nobody begins at the same moment as the others.
                    rest(Duration.ofMillis(ThreadLocalRandom.current().nextInt(3_000)));
                    while (System.nanoTime() < until) {
                        search(address, heard);
                    }
                    return address;
                }));
            }
            for (Future<?> each : all) {
                each.get();
            }
        }
        heard.stolen = StolenTime.now().shareSince(begun);
        return heard;
    }

    private void search(String visitor, Heard heard) throws IOException, InterruptedException {
        String words = questions
                .get(ThreadLocalRandom.current().nextInt(questions.size()))
                .typed();
        Typed before = Typed.NOTHING;
        for (int letters = 2; letters <= words.length(); letters++) {
            if (before.giveUp()) {
                heard.givenUp.incrementAndGet();
            }
            before = live(visitor, words.substring(0, letters), heard);
            rest(LETTER);
        }
        page(visitor, words, "", "page", heard);
        rest(LOOK);
        page(visitor, words, "&part=noun", "filter", heard);
        rest(LOOK);
    }

    private Typed live(String visitor, String typed, Heard heard) {
        long begun = System.nanoTime();
        AtomicBoolean givenUp = new AtomicBoolean();
        CompletableFuture<HttpResponse<String>> coming =
                typing.sendAsync(request(visitor, "live", typed, ""), HttpResponse.BodyHandlers.ofString());
        var unused = coming.whenComplete((answer, failure) -> {
            if (answer != null) {
                heard(answer, "live", begun, heard);
            } else if (!givenUp.get()) {
                heard.failed.merge(String.valueOf(failure), 1, Integer::sum);
            }
        });
        return new Typed(coming, givenUp);
    }

    private void page(String visitor, String typed, String filter, String kind, Heard heard)
            throws IOException, InterruptedException {
        long begun = System.nanoTime();
        HttpResponse<String> answer =
                pages.send(request(visitor, "results", typed, filter), HttpResponse.BodyHandlers.ofString());
        heard(answer, kind, begun, heard);
    }

    private static void heard(HttpResponse<String> answer, String kind, long begun, Heard heard) {
        switch (answer.statusCode()) {
            case 200 -> heard.answered(kind, System.nanoTime() - begun);
            case BUSY -> heard.busy.incrementAndGet();
            default -> heard.failed.merge("status " + answer.statusCode(), 1, Integer::sum);
        }
    }

    private HttpRequest request(String visitor, String what, String typed, String filter) {
        return HttpRequest.newBuilder(URI.create("%s/api/public/searches/%s/%s?q=%s%s"
                        .formatted(service, search, what, URLEncoder.encode(typed, StandardCharsets.UTF_8), filter)))
                .header("X-Forwarded-For", visitor)
                .build();
    }

    private static void rest(Duration howLong) {
        LockSupport.parkNanos(howLong.toNanos());
    }
}
