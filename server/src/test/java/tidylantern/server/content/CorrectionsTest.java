package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.server.key.SiteKey;
import tidylantern.server.platform.Refusal;

/** A correction that takes long goes on while its request is answered. */
class CorrectionsTest {
    private static final SiteKey ISLES = new SiteKey("isles");
    private static final CollectionKey POSTS = new CollectionKey("posts");
    private static final FieldKey SIZE = new FieldKey("size");
    private final Corrections corrections = new Corrections(0);
    private final CountDownLatch begun = new CountDownLatch(1);
    private final CountDownLatch goOn = new CountDownLatch(1);
    private final CountDownLatch over = new CountDownLatch(1);

    @AfterEach
    void stop() {
        goOn.countDown();
        corrections.stop();
    }

    private void begin(Corrections.Work then) throws InterruptedException {
        corrections.run(ISLES, POSTS, SIZE, run -> {
            try {
                run.looksAt(1_000);
                run.looked(400);
                begun.countDown();
                wait(goOn);
                then.go(run);
            } finally {
                over.countDown();
            }
        });
        begun.await();
    }

    private static void wait(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    /** What is left when it is over; its thread has a few steps to go when its work is done. */
    private Corrections.Correction left() {
        wait(over);
        Corrections.Correction left = corrections.of(ISLES, POSTS);
        while (left != null && left.problem() == null) {
            Thread.onSpinWait();
            left = corrections.of(ISLES, POSTS);
        }
        return left;
    }

    @Test
    void itTellsHowFarItIsAndLeavesNothing() throws Exception {
        begin(run -> {});
        assertThat(corrections.of(ISLES, POSTS)).isEqualTo(new Corrections.Correction(SIZE, 400, 1_000, false, null));
        assertThat(corrections.of(ISLES, new CollectionKey("notes"))).isNull();
        goOn.countDown();
        assertThat(left()).isNull();
    }

    @Test
    void oneAtATimeInACollection() throws Exception {
        begin(run -> {});
        assertThatThrownBy(() -> corrections.run(ISLES, POSTS, SIZE, run -> {}))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("goes on");
    }

    @Test
    void whatNobodyWaitsForAnyMoreIsToldUntilItIsForgotten() throws Exception {
        begin(run -> {
            throw Refusal.conflict("3 items do not fit.");
        });
        goOn.countDown();
        assertThat(left().problem()).isEqualTo("3 items do not fit.");
        corrections.stop(ISLES, POSTS);
        assertThat(corrections.of(ISLES, POSTS)).isNull();
    }

    @Test
    void itIsStoppedAsLongAsNothingWasChanged() throws Exception {
        begin(run -> run.looked(1));
        corrections.stop(ISLES, POSTS);
        goOn.countDown();
        assertThat(left()).as("stopped, and nothing to tell").isNull();
    }

    @Test
    void whoeverStillWaitsReadsThatItWasStopped() throws Exception {
        Corrections patient = new Corrections(60_000);
        try {
            assertThatThrownBy(() -> patient.run(ISLES, POSTS, SIZE, run -> {
                        patient.stop(ISLES, POSTS);
                        run.looked(1);
                    }))
                    .isInstanceOf(Refusal.class)
                    .hasMessageContaining("stopped");
            assertThat(patient.of(ISLES, POSTS)).isNull();
        } finally {
            patient.stop();
        }
    }

    @Test
    void whatIsKeptIsNotStopped() throws Exception {
        begin(Corrections.Run::isKept);
        goOn.countDown();
        assertThat(left()).isNull();
        CountDownLatch kept = new CountDownLatch(1);
        CountDownLatch end = new CountDownLatch(1);
        corrections.run(ISLES, POSTS, SIZE, run -> {
            run.isKept();
            kept.countDown();
            wait(end);
        });
        wait(kept);
        assertThatThrownBy(() -> corrections.stop(ISLES, POSTS))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("kept already");
        end.countDown();
    }
}
