package tidylantern.server.content;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import tidylantern.server.key.SiteKey;

class QuietIndexesTest {
    private static final SiteKey ISLES = new SiteKey("isles");

    private final QuietIndexes quiet = new QuietIndexes();

    @Test
    void itIsToldOnceAfterTheLastOfARowOfChanges() {
        assertThat(LongStream.of(1, 2, 3, 3, 3, 3, 4, 5, 5, 5).mapToObj(change -> quiet.becomesQuiet(ISLES, change)))
                .containsExactly(false, false, false, true, false, false, false, false, true, false);
    }

    @Test
    void oneSiteSaysNothingOfAnother() {
        quiet.becomesQuiet(ISLES, 7);
        assertThat(quiet.becomesQuiet(new SiteKey("other"), 7)).isFalse();
        assertThat(quiet.becomesQuiet(ISLES, 7)).isTrue();
    }

    @Test
    void whatIsForgottenBeginsAnew() {
        quiet.becomesQuiet(ISLES, 7);
        quiet.forget(ISLES);
        assertThat(quiet.becomesQuiet(ISLES, 7)).isFalse();
    }
}
