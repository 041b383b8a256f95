package tidylantern.server.turn;

import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import tidylantern.server.platform.Refusal;

/**
 * Lets as many answers be reckoned at once as there are processors. They are reckoning, not waiting: more at once would
 * only make each slower. Those that come meanwhile wait their turn, up to a number that still gets its answer soon:
 * pages before live answers, these before an owner's long work, and long queries after others. Pages go as they came.
 * Of live answers the newest goes first: the next letter makes an older one useless, and whoever typed it gives it up.
 * While others wait, no client has more than half of the turns, and who has gone away has none. An answer is reckoned
 * on the thread that asks for it: handing it to another takes longer than many an answer.
 */
@Component
public class AnswerTurns {
    private static final int MOST_WAITING = 200;
    private static final int MOST_WAITING_OF_ONE_CLIENT = 60;
    /** So often somebody who waits is looked for. */
    private static final long LOOK_EVERY_MS = 50;
    /** Hardly anybody types more for one search; what has more may cost many times as much. */
    private static final int MOST_USUAL_LETTERS = 60;

    /** What is asked for, the most urgent first. */
    public enum Kind {
        /** A page of results, or a part of one: nothing comes after it, and somebody waits for it until it is there. */
        PAGE,
        /**
         * Somebody is typing. There are more of these than of all others, so that they hardly feel what goes before.
         */
        LIVE,
        /** What an owner waits for beside everything else: trials, shares, explanations. */
        WORK
    }

    /** A question that waits for its turn. */
    private static final class Waiting {
        private final Asker asker;
        private final Kind kind;
        private final int letters;
        /** Of those that came, counted from the first. */
        private final long number;

        private final Condition turn;
        private boolean called;

        private Waiting(Asker asker, Kind kind, int letters, long number, Condition turn) {
            this.asker = asker;
            this.kind = kind;
            this.letters = letters;
            this.number = number;
            this.turn = turn;
        }

        private String client() {
            return asker.client();
        }

        private boolean isLong() {
            return letters > MOST_USUAL_LETTERS;
        }

        /** Among its equals. */
        private long place() {
            return kind == Kind.LIVE ? -number : number;
        }
    }

    private static final Comparator<Waiting> TURN = Comparator.<Waiting, Kind>comparing(waiting -> waiting.kind)
            .thenComparing(Waiting::isLong)
            .thenComparing(Waiting::place);
    /** A question is overtaken at most by so many that came later, counting those that went away. */
    private static final int MOST_OVERTAKING = 20;

    private final int turns;
    private final ReentrantLock lock = new ReentrantLock();
    private final List<Waiting> queue = new ArrayList<>();
    private final Map<String, Integer> running = new HashMap<>();
    private int taken;
    private long numbers;
    private boolean stopped;

    AnswerTurns() {
        this(Runtime.getRuntime().availableProcessors());
    }

    AnswerTurns(int turns) {
        this.turns = turns;
    }

    /**
     * Waits for a turn, and reckons the answer in it.
     *
     * @param letters of the question
     * @throws Refusal with status 503 if too many wait already, or the asker has gone meanwhile
     */
    public <T> T answer(Asker asker, Kind kind, int letters, Callable<T> question) {
        take(asker, kind, letters);
        try {
            return question.call();
        } catch (RuntimeException reason) {
            throw reason;
        } catch (Exception failed) {
            throw new IllegalStateException("an answer failed", failed);
        } finally {
            giveBack(asker.client());
        }
    }

    private void take(Asker asker, Kind kind, int letters) {
        lock.lock();
        try {
            if (stopped) {
                throw stopping();
            }
            if (taken < turns && queue.isEmpty()) {
                begin(asker.client());
            } else {
                await(line(asker, kind, letters));
            }
        } finally {
            lock.unlock();
        }
    }

    private Waiting line(Asker asker, Kind kind, int letters) {
        boolean hasItsShare = queue.stream()
                        .filter(waiting -> waiting.client().equals(asker.client()))
                        .count()
                >= MOST_WAITING_OF_ONE_CLIENT;
        if (queue.size() >= MOST_WAITING || hasItsShare) {
            throw Refusal.busy("Too many ask at once. Try again in a second.");
        }
        Waiting mine = new Waiting(asker, kind, letters, numbers++, lock.newCondition());
        queue.add(mine);
        return mine;
    }

    private void await(Waiting mine) {
        boolean hasTurn = false;
        try {
            while (!mine.called) {
                if (stopped) {
                    throw stopping();
                }
                boolean gone = hasGone(mine.asker);
                if (mine.called) {
                    break;
                }
                if (gone) {
                    throw Refusal.busy("Whoever asked has gone.");
                }
                // Whether it was called or woke by itself is seen above.
                var unused = mine.turn.await(LOOK_EVERY_MS, TimeUnit.MILLISECONDS);
            }
            hasTurn = true;
        } catch (InterruptedException hurried) {
            Thread.currentThread().interrupt();
            throw stopping();
        } finally {
            queue.remove(mine);
            if (mine.called && !hasTurn) {
                end(mine.client());
            }
        }
    }

    /** Without the lock, which the caller has: the system is asked, and nobody else is to wait for its answer. */
    private boolean hasGone(Asker asker) {
        lock.unlock();
        try {
            return asker.gone().getAsBoolean();
        } finally {
            lock.lock();
        }
    }

    private static Refusal stopping() {
        return new Refusal(HttpStatus.SERVICE_UNAVAILABLE, null, "The service is stopping. Try again in a moment.");
    }

    /** How many questions wait for their turn. */
    int waiting() {
        lock.lock();
        try {
            return queue.size();
        } finally {
            lock.unlock();
        }
    }

    private void giveBack(String client) {
        lock.lock();
        try {
            end(client);
        } finally {
            lock.unlock();
        }
    }

    private void begin(String client) {
        taken++;
        running.merge(client, 1, Integer::sum);
    }

    private void end(String client) {
        taken--;
        running.computeIfPresent(client, (key, has) -> has > 1 ? has - 1 : null);
        if (taken < turns && !queue.isEmpty()) {
            Waiting next = first();
            queue.remove(next);
            begin(next.client());
            next.called = true;
            next.turn.signal();
        }
    }

    /** Of those whose client has not its share already; of all, where there are no others. */
    private Waiting first() {
        Waiting oldest = queue.stream()
                .min(Comparator.comparing(waiting -> waiting.number))
                .orElseThrow();
        // All that came since, but for those that still wait.
        long overtaking = numbers - oldest.number - queue.size();
        if (overtaking >= MOST_OVERTAKING) {
            return oldest;
        }
        int share = Math.max(1, turns / 2);
        return queue.stream()
                .filter(waiting -> running.getOrDefault(waiting.client(), 0) < share)
                .min(TURN)
                .orElseGet(() -> queue.stream().min(TURN).orElseThrow());
    }

    /** Whoever waits is told so; what is reckoned already is reckoned to its end. */
    @PreDestroy
    void stop() {
        lock.lock();
        try {
            stopped = true;
            queue.forEach(waiting -> waiting.turn.signal());
        } finally {
            lock.unlock();
        }
    }
}
