package tidylantern.server.visitor;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import org.junit.jupiter.api.Test;

/** What the hosted page writes goes by its language and its search, not by the machine. */
class PageNumbersTest {
    private static final PageNumbers ENGLISH = new PageNumbers(Locale.ENGLISH, false);

    @Test
    void distancesAreInTheUnitOfTheSearch() {
        assertThat(ENGLISH.away(1.24)).isEqualTo("1.2 km away");
        // 1 mile is 1.609344 km by definition: the international yard and pound agreement of 1959.
        assertThat(new PageNumbers(Locale.ENGLISH, true).away(1.609344 * 3)).isEqualTo("3 mi away");
        assertThat(ENGLISH.away(0.02)).isEqualTo("under 0.1 km away");
        assertThat(ENGLISH.away(1_234.5)).isEqualTo("1,234 km away");
    }

    @Test
    void numbersAreWrittenAsThePagesLanguageWritesThem() {
        assertThat(ENGLISH.count(12_345)).isEqualTo("12,345");
        assertThat(new PageNumbers(Locale.GERMAN, false).count(12_345)).isEqualTo("12.345");
        assertThat(new PageNumbers(Locale.GERMAN, false).away(1.24)).isEqualTo("1,2 km away");
    }
}
