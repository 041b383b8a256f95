package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import tidylantern.core.design.Control;
import tidylantern.core.query.FilterAnswer;

/** What answers write goes by the content's language and the search, not by the machine. */
class AnswerTextsTest {
    private static final AnswerTexts ENGLISH = new AnswerTexts(Locale.ENGLISH, false);
    private static final AnswerTexts GERMAN = new AnswerTexts(Locale.GERMAN, false);

    @Test
    void distancesAreInTheUnitOfTheSearch() {
        assertThat(ENGLISH.away(1.24)).isEqualTo("1.2 km away");
        // 1 mile is 1.609344 km by definition: the international yard and pound agreement of 1959.
        assertThat(new AnswerTexts(Locale.ENGLISH, true).away(1.609344 * 3)).isEqualTo("3 mi away");
        assertThat(ENGLISH.away(0.02)).isEqualTo("under 0.1 km away");
        assertThat(ENGLISH.away(1_234.5)).isEqualTo("1,234 km away");
        assertThat(GERMAN.away(1.24)).isEqualTo("1,2 km away");
    }

    @Test
    void numbersAreWrittenAsThePagesLanguageWritesThem() {
        assertThat(ENGLISH.count(12_345)).isEqualTo("12,345 results");
        assertThat(ENGLISH.count(1)).isEqualTo("1 result");
        assertThat(GERMAN.number(12_345)).isEqualTo("12.345");
    }

    @Test
    void aValueWithoutANameSaysWhatItIs() {
        assertThat(said(ENGLISH, Control.BANDS, "..1500", "EUR")).isEqualTo("up to 1,500 EUR");
        assertThat(said(ENGLISH, Control.BANDS, "1500..3000.5", "")).isEqualTo("1,500 to 3,000.5");
        assertThat(said(GERMAN, Control.BANDS, "3000..", "m²")).isEqualTo("3.000 m² and more");
        assertThat(said(ENGLISH, Control.BANDS, "-20..-5", "")).isEqualTo("-20 to -5");
        assertThat(said(ENGLISH, Control.MONTHS, "2026-05", "")).isEqualTo("May 2026");
        assertThat(said(ENGLISH, Control.MONTHS, "2026-05-02..2026-06-01", "")).isEqualTo("May 2, 2026 to Jun 1, 2026");
        assertThat(said(ENGLISH, Control.MONTHS, "..2026-06-01", "")).isEqualTo("up to Jun 1, 2026");
        assertThat(said(ENGLISH, Control.FROM_TODAY, "today..", "")).isEqualTo("From today");
        assertThat(said(ENGLISH, Control.DISTANCE, "2.5", "")).isEqualTo("2.5 km");
        assertThat(said(GERMAN, Control.DISTANCE, "2.5", "mi")).isEqualTo("2,5 mi");
        assertThat(said(ENGLISH, Control.SWITCH, "yes", "")).isEqualTo("Yes");
        assertThat(said(ENGLISH, Control.TICKS, "no", "")).isEqualTo("No");
    }

    private static String said(AnswerTexts texts, Control control, String value, String unit) {
        return texts.label(new FilterAnswer.Offered(value, "", 1, false, 0, List.of(), "", ""), control, unit);
    }
}
