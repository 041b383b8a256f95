package tidylantern.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.FileNotFoundException;
import java.io.UncheckedIOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Places of the world by name. The countries are those of ISO 3166; the places in them are made up. */
class GazetteerTest {
    private static final Gazetteer WORLD = new GazetteerFixture()
            .place("Quillport", "US", "ME", 9_000, 44.1, -69)
            .place("Quillport", "US", "OR", 90_000, 44.6, -124)
            .place("Quillport", "FR", "52", 3_000, 47.2, -1.6)
            .place("Grande-Île", "FR", "52", 250_000, 47.3, -1.7)
            .place("Quillporte", "PT", "08", 50, 37, -8)
            .place("São Quill", "PT", "08", 400, 37.1, -8)
            .gazetteer();

    @Test
    void namesakesAreToldApartByRegionAndCountryThoseOfMostPeopleFirst() {
        assertThat(WORLD.size()).isEqualTo(6);
        assertThat(WORLD.named("QUILLPORT"))
                .extracting(Gazetteer.Found::label)
                .containsExactly(
                        "Quillport, OR, United States",
                        "Quillport, ME, United States",
                        "Quillport, near Grande-Île, France");
        assertThat(WORLD.named("quillport, me, united states"))
                .singleElement()
                .extracting(Gazetteer.Found::position)
                .isEqualTo(new Position(44.1, -69));
        assertThat(WORLD.named("quillport, OR")).as("the region alone").hasSize(1);
        assertThat(WORLD.named("quillport, spain")).isEmpty();
        assertThat(WORLD.named("Quillport, France"))
                .singleElement()
                .extracting(Gazetteer.Found::people)
                .isEqualTo(3_000L);
        WORLD.named("quillport").forEach(one -> assertThat(WORLD.named(one.label()))
                .as("a label means just one place")
                .containsExactly(WORLD.named("quillport").stream()
                        .filter(other -> other.label().equals(one.label()))
                        .findFirst()
                        .orElseThrow()));
        assertThat(WORLD.named("sao quill"))
                .singleElement()
                .extracting(Gazetteer.Found::name)
                .isEqualTo("São Quill");
        assertThat(WORLD.named("nowhere")).isEmpty();
        assertThat(WORLD.named(" , ")).isEmpty();
    }

    @Test
    void aLetterWrongAndTheBeginningAreFoundToo() {
        assertThat(WORLD.nearlyNamed("quilport"))
                .extracting(Gazetteer.Found::name)
                .containsOnly("Quillport")
                .hasSize(3);
        assertThat(WORLD.nearlyNamed("quillport"))
                .extracting(Gazetteer.Found::name)
                .containsExactly("Quillporte");
        assertThat(WORLD.beginning("grande", 5))
                .extracting(Gazetteer.Found::label)
                .containsExactly("Grande-Île, France");
        assertThat(WORLD.beginning("", 5)).isEmpty();
        assertThat(WORLD.nearlyNamed("")).isEmpty();
    }

    /** Common misspellings, our own examples. */
    @ParameterizedTest
    @CsvSource({
        "harbour, harbuor, true",
        "harbour, harbor, true",
        "harbour, harbourr, true",
        "harbour, harbuur, true",
        "harbour, harbr, false",
        "harbour, arbour, false",
        "harbour, harbour, false",
        "pier, peir, true",
        "bay, bya, false",
        "quay, guay, false"
    })
    void oneSlipIsALetterOrASwap(String a, String b, boolean slip) {
        assertThat(Slip.between(a, b)).isEqualTo(slip);
        assertThat(Slip.between(b, a)).isEqualTo(slip);
    }

    @Test
    void aMissingFileIsSaidWhenItIsNeededAndNotBefore() {
        Gazetteer gone = Gazetteer.of(() -> {
            throw new FileNotFoundException("cities.pbf");
        });
        assertThatThrownBy(() -> gone.named("x"))
                .isInstanceOf(UncheckedIOException.class)
                .hasMessageContaining("gazetteer")
                .hasRootCauseMessage("cities.pbf");
        assertThat(Gazetteer.empty().named("anything")).isEmpty();
    }
}
