package tidylantern.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.Placement;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.filter.FilterPlaces;
import tidylantern.core.design.look.Look;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.text.VisitorTexts;

/** Looks of featured tiers: their colours, and what of them is refused or remarked on. */
class TierLooksTest {
    private static Colour colour(String written) {
        return Objects.requireNonNull(Colour.read(written, "color"));
    }

    /** WCAG 2.2, 'contrast ratio'; worked values from memory of its techniques, recomputed for worked-examples.md. */
    @ParameterizedTest
    @CsvSource({
        "#000000, #ffffff, 21",
        "#777777, #fff, 4.48",
        "#767676, #ffffff, 4.54",
        "#949494, #ffffff, 3.03",
        "#ffffff, #ffffff, 1"
    })
    void contrastIsThatOfWcag(String a, String b, double ratio) {
        assertThat(colour(a).contrast(colour(b)))
                .isCloseTo(ratio, within(0.005))
                .isEqualTo(colour(b).contrast(colour(a)));
    }

    @RepeatedTest(50)
    void theNearestColourPassesAndNothingNearerOnItsWaysDoes(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        Colour picked = new Colour(random.nextInt(256), random.nextInt(256), random.nextInt(256));
        Colour on = new Colour(random.nextInt(256), random.nextInt(256), random.nextInt(256));
        Colour nearest = Objects.requireNonNull(picked.nearest(Colour.TEXT, on));
        assertThat(nearest.contrast(on)).isGreaterThanOrEqualTo(4.5);
        for (int end : new int[] {0, 255}) {
            for (double share = 0; share <= 1; share += 1 / 255.0) {
                Colour mixed = new Colour(
                        (int) Math.round(picked.red() + (end - picked.red()) * share),
                        (int) Math.round(picked.green() + (end - picked.green()) * share),
                        (int) Math.round(picked.blue() + (end - picked.blue()) * share));
                if (mixed.contrast(on) >= 4.5) {
                    assertThat(nearest.distance(picked)).isLessThanOrEqualTo(mixed.distance(picked) + 2.5);
                }
            }
        }
        assertThat(on.nearest(1, picked)).as("what passes stays").isEqualTo(on);
    }

    @ParameterizedTest
    @ValueSource(strings = {"amber", "#12", "#12345g", "rgb(1,2,3)", "#1234567"})
    void coloursThatDoNotParseAreRefusedByTheirKey(String written) {
        assertThatThrownBy(() -> new TierLooks(null, null, TierLooks.Edge.FINE, written, null))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("edgeColor"))
                .hasMessageContaining(written)
                .hasMessageContaining("#8a5200");
        assertThatThrownBy(
                        () -> new TierLooks.Ribbon("New", written, "#8a5200", TierLooks.Size.USUAL, TierLooks.Side.END))
                .isInstanceOf(DesignFault.class);
    }

    @Test
    void looksOutOfRangeAreRefused() {
        assertThat(new TierLooks("#ABC", null, TierLooks.Edge.NONE, "#8a5200", null).ground())
                .isEqualTo("#aabbcc");
        assertThatThrownBy(() -> new TierLooks.Ribbon(
                        "x".repeat(500), "#ffffff", "#8a5200", TierLooks.Size.USUAL, TierLooks.Side.END))
                .hasMessageContaining("500 characters")
                .hasMessageContaining("60");
        assertThatThrownBy(
                        () -> new TierLooks.Ribbon(" ", "#ffffff", "#8a5200", TierLooks.Size.USUAL, TierLooks.Side.END))
                .hasMessageContaining("switch it off");
        assertThatThrownBy(() -> new TierLooks(null, 99, TierLooks.Edge.NONE, "#8a5200", null))
                .hasMessageContaining("0 to 24");
        assertThatThrownBy(() -> new Tier("Gold tier", "Gold", 1, List.of(), null, null, TierLooks.plain()))
                .hasMessageContaining("small letters");
        assertThatThrownBy(() -> new Tier.Lift(0, null, Tier.Turns.NONE)).hasMessageContaining("only marks");
    }

    private static Tier tier(String key, Integer rank, TierLooks looks) {
        return new Tier(key, key, rank, List.of(), new Tier.Lift(null, null, Tier.Turns.NONE), null, looks);
    }

    private static TierLooks looks(String ground, TierLooks.Edge edge, TierLooks.Ribbon ribbon) {
        return new TierLooks(ground, null, edge, "#8a5200", ribbon);
    }

    private static List<String> remarks(List<OrderKey> keys, Tier... tiers) {
        SearchDesign design = new SearchDesign(
                SearchDesign.CURRENT_VERSION,
                "Test",
                new Reach(List.of()),
                Words.standard(),
                List.of(),
                FilterPlaces.usual(),
                new Ranking(new ResultOrder(keys, keys, List.of(), ""), List.of(tiers), List.of()),
                new VisitorPlaces(SearchBox.usual(), LiveList.usual(), ResultsPage.usual()),
                new Appearance(List.of(), Look.asBelow(), VisitorTexts.asTheyCome()));
        return TierChecks.remarks(design).stream()
                .map(DesignChecks.Remark::text)
                .toList();
    }

    @Test
    void whatWouldSurpriseIsRemarkedOn() {
        List<OrderKey> tiered = List.of(OrderKey.of(OrderKey.By.TIER));
        TierLooks.Ribbon gold =
                new TierLooks.Ribbon("Gold", "#ffffff", "#8a5200", TierLooks.Size.USUAL, TierLooks.Side.END);
        assertThat(remarks(
                        tiered,
                        tier("a", 1, looks("#fffaf0", TierLooks.Edge.CLEAR, gold)),
                        tier(
                                "b",
                                2,
                                looks(
                                        null,
                                        TierLooks.Edge.NONE,
                                        new TierLooks.Ribbon(
                                                "Silver",
                                                "#ffffff",
                                                "#4f5d64",
                                                TierLooks.Size.USUAL,
                                                TierLooks.Side.END)))))
                .isEmpty();
        assertThat(remarks(
                        tiered,
                        tier("a", 1, looks("#fffaf0", TierLooks.Edge.CLEAR, gold)),
                        tier("b", 2, looks("#fff8ee", TierLooks.Edge.CLEAR, gold))))
                .singleElement()
                .asString()
                .contains("look alike");
        assertThat(remarks(
                        tiered,
                        tier("a", 1, looks(null, TierLooks.Edge.CLEAR, null)),
                        tier("b", 1, looks(null, TierLooks.Edge.STRONG, null))))
                .singleElement()
                .asString()
                .contains("same rank");
        assertThat(remarks(tiered, tier("a", 1, TierLooks.plain())))
                .singleElement()
                .asString()
                .contains("Nothing shows");
        assertThat(remarks(
                        tiered,
                        tier(
                                "a",
                                1,
                                looks(
                                        null,
                                        TierLooks.Edge.NONE,
                                        new TierLooks.Ribbon(
                                                "Gold",
                                                "#ffffff",
                                                "#f0a93a",
                                                TierLooks.Size.USUAL,
                                                TierLooks.Side.END)))))
                .singleElement()
                .asString()
                .contains("contrast of 2.01")
                .contains("where 4.5 is needed")
                .contains("nearest");
        assertThat(remarks(tiered, tier("a", 1, looks("#33414b", TierLooks.Edge.CLEAR, null))))
                .singleElement()
                .asString()
                .contains("The ground of");
        assertThat(remarks(
                        List.of(OrderKey.of(OrderKey.By.PLACE_IN_TIER)),
                        tier("a", 1, looks(null, TierLooks.Edge.CLEAR, null))))
                .hasSize(2)
                .allMatch(text -> text.contains("has no key \"tier\""));
    }

    @Test
    void aGroundOfferedSufficesForEverythingThatIsWrittenOnACard() {
        for (String ground : List.of("#33414b", "#808080", "#c07020", "#8a5200", "#d0b0b0")) {
            TierChecks.Contrast of = TierChecks.contrasts(looks(ground, TierLooks.Edge.NONE, null))
                    .getFirst();
            assertThat(of.passes()
                            || TierChecks.contrasts(
                                            looks(Objects.requireNonNull(of.nearest()), TierLooks.Edge.NONE, null))
                                    .getFirst()
                                    .passes())
                    .as(ground)
                    .isTrue();
        }
    }

    @Test
    void placementsAndPinsThatCannotHoldAreRefused() {
        ItemRef item = new ItemRef(new CollectionKey("posts"), new ItemId("a"));
        assertThatThrownBy(() -> new Placement(item, "gold", 0, null, null)).hasMessageContaining("choose 1 to 1000");
        assertThatThrownBy(() -> new Placement(item, "gold", null, LocalDate.of(2026, 5, 2), LocalDate.of(2026, 5, 1)))
                .hasMessageContaining("before it begins");
        assertThatThrownBy(() ->
                        new Pin(List.of("x"), List.of(new Pin.Put(item, 1), new Pin.Put(item, 2)), List.of(), null))
                .hasMessageContaining("one place");
        assertThatThrownBy(() -> new Pin(List.of("x"), List.of(new Pin.Put(item, 1)), List.of(item), null))
                .hasMessageContaining("taken out as well");
        assertThatThrownBy(() -> new Pin(List.of(" ! "), List.of(new Pin.Put(item, 1)), List.of(), null))
                .isInstanceOf(DesignFault.class);
        assertThatThrownBy(() -> new Pin(List.of("x"), List.of(), List.of(), null))
                .hasMessageContaining("puts an item");
        assertThatThrownBy(() -> new Pin.Put(item, 51)).hasMessageContaining("1 to 50");
    }
}
