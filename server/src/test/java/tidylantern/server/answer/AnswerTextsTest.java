package tidylantern.server.answer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.design.filter.Control;
import tidylantern.core.design.filter.DayControl;
import tidylantern.core.design.filter.DistanceUnit;
import tidylantern.core.design.filter.NumberControl;
import tidylantern.core.design.filter.OnlyControl;
import tidylantern.core.design.filter.YesNoControl;
import tidylantern.core.design.text.Language;
import tidylantern.core.design.text.VisitorTexts;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.server.text.Texts;

/** What answers write goes by the language that is asked for and the search, not by the machine. */
class AnswerTextsTest {
    private static final AnswerTexts ENGLISH = in(Locale.ENGLISH, DistanceUnit.KM);
    private static final AnswerTexts GERMAN = in(Locale.GERMAN, DistanceUnit.KM);

    /** As texts come, in the language of a locale, or in English. */
    static AnswerTexts in(Locale formats, DistanceUnit unit) {
        Language language = Language.of(formats).orElse(Language.EN);
        return new AnswerTexts(
                new VisitorTexts.Spoken(language, formats), Texts.in(language), VisitorTexts.asTheyCome(), unit);
    }

    /** By what the design says, what the page asks for, and the language of what is searched, which is French here. */
    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                "-,  -,  -,                   fr, fr",
                "-,  -,  de,                  de, de",
                "-,  -,  de-AT,               de, de-AT",
                "-,  -,  'it, nl;q=0.5',      nl, nl",
                "-,  -,  it,                  fr, fr",
                "-,  ES, it,                  es, es",
                "-,  ES, *,                   es, es",
                "-,  ES, 'not a header ;;;=', es, es",
                "NL, ES, de,                  nl, nl",
                "NL, -,  nl-BE,               nl, nl-BE",
                "-,  -,  'de;q=0',            fr, fr"
            })
    void theLanguageIsTheDesignsOrThePagesOrTheFallback(
            @Nullable Language fixed,
            @Nullable Language fallback,
            @Nullable String asked,
            String texts,
            String formats) {
        VisitorTexts design = new VisitorTexts(fixed, fallback, List.of(), List.of());
        VisitorTexts.Spoken spoken = design.spoken(AnswerTexts.tags(asked), Locale.FRENCH);
        assertThat(spoken.texts()).hasToString(texts);
        assertThat(spoken.formats().toLanguageTag()).isEqualTo(formats);
    }

    @Test
    void distancesAreInTheUnitOfTheSearch() {
        assertThat(ENGLISH.away(1.24)).isEqualTo("1.2 km away");
        // 1 mile is 1.609344 km by definition: the international yard and pound agreement of 1959.
        assertThat(in(Locale.ENGLISH, DistanceUnit.MI).away(1.609344 * 3)).isEqualTo("3 mi away");
        assertThat(ENGLISH.away(0.02)).isEqualTo("under 0.1 km away");
        assertThat(ENGLISH.away(1_234.5)).isEqualTo("1,234 km away");
        assertThat(GERMAN.away(1.24)).isEqualTo("1,2 km entfernt");
    }

    @Test
    void numbersAreWrittenAsThePagesLanguageWritesThem() {
        assertThat(ENGLISH.count(12_345)).isEqualTo("12,345 results");
        assertThat(ENGLISH.count(1)).isEqualTo("1 result");
        assertThat(GERMAN.number(12_345)).isEqualTo("12.345");
    }

    @Test
    void aValueWithoutANameSaysWhatItIs() {
        assertThat(said(ENGLISH, NumberControl.BANDS, "..1500", "EUR")).isEqualTo("up to 1,500 EUR");
        assertThat(said(ENGLISH, NumberControl.BANDS, "1500..3000.5", "")).isEqualTo("1,500 to 3,000.5");
        assertThat(said(GERMAN, NumberControl.BANDS, "3000..", "m²")).isEqualTo("3.000 m² und mehr");
        assertThat(said(ENGLISH, NumberControl.BANDS, "-20..-5", "")).isEqualTo("-20 to -5");
        assertThat(said(ENGLISH, DayControl.MONTHS, "2026-05", "")).isEqualTo("May 2026");
        assertThat(said(ENGLISH, DayControl.MONTHS, "2026-05-02..2026-06-01", ""))
                .isEqualTo("May 2, 2026 to Jun 1, 2026");
        assertThat(said(ENGLISH, DayControl.MONTHS, "..2026-06-01", "")).isEqualTo("up to Jun 1, 2026");
        assertThat(said(ENGLISH, DayControl.FROM_TODAY, "today..", "")).isEqualTo("From today");
        assertThat(said(ENGLISH, OnlyControl.DISTANCE, "2.5", "km")).isEqualTo("2.5 km");
        assertThat(said(GERMAN, OnlyControl.DISTANCE, "2.5", "mi")).isEqualTo("2,5 mi");
        assertThat(said(ENGLISH, YesNoControl.SWITCH, "yes", "")).isEqualTo("Yes");
        assertThat(said(ENGLISH, YesNoControl.TICKS, "no", "")).isEqualTo("No");
    }

    private static String said(AnswerTexts texts, Control control, String value, String unit) {
        return texts.label(new FilterAnswer.Offered(value, "", 1, false, 0, List.of(), "", ""), control, unit);
    }
}
