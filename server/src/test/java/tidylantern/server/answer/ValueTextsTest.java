package tidylantern.server.answer;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.design.card.Format;
import tidylantern.core.design.card.Format.Days.Told;
import tidylantern.core.design.card.Format.Days.Which;
import tidylantern.core.design.card.Lettering;
import tidylantern.core.design.card.ValuePart;
import tidylantern.core.design.filter.DistanceUnit;
import tidylantern.core.query.MarkedText;

/** What a card writes of a field's value. */
class ValueTextsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 10);
    private static final String SITE = "https://isles.example";

    private static @Nullable CardValue written(
            Locale language, Format format, FieldValue value, @Nullable String unit) {
        FieldKey key = new FieldKey("field");
        Field field = new Field(key, value.kind(), "field", "Garden", unit, Map.of());
        return new ValueTexts(AnswerTextsTest.in(language, DistanceUnit.KM), TODAY)
                .write(ValuePart.of(key, format, Lettering.usual()), value, field, SITE);
    }

    /** With plain spaces: which kind of space a language puts there is CLDR's to say. */
    private static String text(Locale language, Format format, FieldValue value, @Nullable String unit) {
        CardValue written = written(language, format, value, unit);
        return written == null ? "" : written.seen().replace('\u00a0', ' ').replace('\u202f', ' ');
    }

    private static FieldValue days(String... days) {
        return new FieldValue.Dates(
                java.util.Arrays.stream(days).map(LocalDate::parse).toList());
    }

    // CLDR 48's patterns for standard currencies and the signs of these, from memory.
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            en | 1234.5  | GBP | false | £1,234.50
            en | 480     | GBP | false | £480
            en | 480.4   | EUR | true  | €480
            de | 1234.5  | EUR | false | 1.234,50 €
            fr | 1234.5  | EUR | false | 1 234,50 €
            es | 1234.5  | EUR | true  | 1235 €
            nl | 480     | EUR | false | € 480
            en | 1500    | JPY | false | ¥1,500
            en | 12.345  | KWD | false | KWD 12.345
            en | 480.5   |     | false | 480.5
            en | 480.5   |     | true  | 481
            de | 480.5   | QQQ | false | 480,50 QQQ
            """)
    void moneyIsWrittenAsTheLanguageWritesIt(
            String language, BigDecimal amount, @Nullable String currency, boolean whole, String expected) {
        assertThat(text(
                        Locale.forLanguageTag(language),
                        new Format.Amount(whole),
                        new FieldValue.Money(amount, currency),
                        null))
                .isEqualTo(expected);
    }

    @Test
    void ofSeveralDaysThoseAheadCount() {
        FieldValue trips = days("2026-03-01", "2026-03-10", "2026-03-17", "2026-04-02", "2027-01-05");
        assertThat(text(Locale.ENGLISH, new Format.Days(Which.NEXT, Told.WITHOUT_YEAR), trips, null))
                .as("today is one of them")
                .isEqualTo("Mar 10");
        assertThat(text(Locale.ENGLISH, new Format.Days(Which.NEXT_THREE, Told.WITHOUT_YEAR), trips, null))
                .isEqualTo("Mar 10, Mar 17, Apr 2");
        assertThat(text(Locale.ENGLISH, new Format.Days(Which.FIRST_AND_LAST, Told.USUAL), trips, null))
                .isEqualTo("Mar 1, 2026 to Jan 5, 2027");
        assertThat(text(Locale.GERMAN, new Format.Days(Which.NEXT, Told.USUAL), trips, null))
                .isEqualTo("10.03.2026");
        assertThat(text(Locale.ENGLISH, new Format.Days(Which.NEXT, Told.USUAL), days("2025-12-24"), null))
                .as("where all are over, the last")
                .isEqualTo("Dec 24, 2025");
    }

    @ParameterizedTest
    @CsvSource({
        "2026-03-10, today",
        "2026-03-11, tomorrow",
        "2026-03-13, in 3 days",
        "2026-03-09, yesterday",
        "2026-02-28, 10 days ago"
    })
    void aDayIsToldFromToday(String day, String expected) {
        assertThat(text(Locale.ENGLISH, new Format.Days(Which.NEXT, Told.RELATIVE), days(day), null))
                .isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"45, 45 min", "60, 1 h", "80, 1 h 20", "125, 2 h 05", "0, 0 min"})
    void minutesAreToldInHours(BigDecimal minutes, String expected) {
        assertThat(text(
                        Locale.ENGLISH,
                        new Format.Quantity(Format.Quantity.Style.DURATION, 5),
                        new FieldValue.Numeric(minutes),
                        null))
                .isEqualTo(expected);
    }

    @Test
    void aNumberKeepsItsUnitAndARatingIsHeardAsANumber() {
        Format number = new Format.Quantity(Format.Quantity.Style.NUMBER, 5);
        assertThat(text(Locale.ENGLISH, number, new FieldValue.Numeric(new BigDecimal("1234.25")), "m²"))
                .isEqualTo("1,234.25 m²");
        assertThat(text(
                        Locale.ENGLISH,
                        new Format.Quantity(Format.Quantity.Style.DIGITS, 5),
                        new FieldValue.Numeric(new BigDecimal("1812")),
                        null))
                .isEqualTo("1812");
        assertThat(text(Locale.GERMAN, number, new FieldValue.Numeric(new BigDecimal("1234.25")), null))
                .isEqualTo("1.234,25");
        CardValue rating = written(
                Locale.ENGLISH,
                new Format.Quantity(Format.Quantity.Style.SIGNS, 5),
                new FieldValue.Numeric(new BigDecimal("3.7")),
                null);
        assertThat(rating).isEqualTo(new CardValue("field", CardValue.As.SIGNS, CardValue.plain("3.7 of 5"), "★★★★☆"));
    }

    @Test
    void categoriesAreToldByTheirLastLevelTheirPathOrInFramesOfTheirOwn() {
        FieldValue trades = new FieldValue.Categories(List.of(
                new CategoryPath(List.of("Boats", "Ropes")),
                new CategoryPath(List.of("Food")),
                new CategoryPath(List.of("Clay")),
                new CategoryPath(List.of("Land"))));
        assertThat(text(Locale.ENGLISH, new Format.Names(false, false, 3), trades, null))
                .isEqualTo("Ropes, Food, Clay");
        assertThat(text(Locale.ENGLISH, new Format.Names(true, false, 1), trades, null))
                .isEqualTo("Boats › Ropes");
        assertThat(written(Locale.ENGLISH, new Format.Names(false, true, 2), trades, null))
                .isEqualTo(new CardValue(
                        "field",
                        CardValue.As.CHIPS,
                        List.of(new MarkedText.Run("Ropes", false), new MarkedText.Run("Food", false)),
                        null));
    }

    @Test
    void whatTellsNothingTakesNoRoomAndAFormatThatDoesNotFitGivesWay() {
        assertThat(written(Locale.ENGLISH, new Format.Usual(), new FieldValue.YesNo(false), null))
                .isNull();
        assertThat(text(Locale.ENGLISH, new Format.Usual(), new FieldValue.YesNo(true), null))
                .isEqualTo("Garden");
        assertThat(text(Locale.ENGLISH, new Format.Amount(true), new FieldValue.YesNo(true), null))
                .isEqualTo("Garden");
        assertThat(written(Locale.ENGLISH, new Format.Usual(), new FieldValue.Place(1, 2, null), null))
                .isNull();
        assertThat(written(Locale.ENGLISH, new Format.Usual(), new FieldValue.Link("/book"), null))
                .isEqualTo(new CardValue(
                        "field", CardValue.As.LINK, CardValue.plain("isles.example"), "https://isles.example/book"));
    }

    @Test
    void whatNobodyWouldWriteDoesNoHarm() {
        Format duration = new Format.Quantity(Format.Quantity.Style.DURATION, 5);
        Format signs = new Format.Quantity(Format.Quantity.Style.SIGNS, 5);
        FieldValue huge = new FieldValue.Numeric(new BigDecimal("9".repeat(15)));
        FieldValue negative = new FieldValue.Numeric(new BigDecimal("-80"));
        assertThat(text(Locale.ENGLISH, duration, huge, null))
                .startsWith("999,")
                .endsWith(",999 min");
        assertThat(text(Locale.ENGLISH, duration, negative, null)).isEqualTo("-80 min");
        assertThat(text(Locale.ENGLISH, signs, huge, null)).isEqualTo("★★★★★");
        assertThat(text(Locale.ENGLISH, signs, negative, null)).isEqualTo("☆☆☆☆☆");
        assertThat(text(Locale.ENGLISH, new Format.Usual(), new FieldValue.Text("😀".repeat(500)), null))
                .isEqualTo("😀".repeat(200) + "…");
        assertThat(text(
                        Locale.ENGLISH,
                        new Format.Usual(),
                        new FieldValue.Link("https://www.isles.example:8443/ä😀?x=%41"),
                        null))
                .isEqualTo("isles.example");
        assertThat(text(Locale.ENGLISH, new Format.Usual(), days("9999-12-31", "0001-01-01"), null))
                .isEqualTo("Dec 31, 9999");
    }
}
