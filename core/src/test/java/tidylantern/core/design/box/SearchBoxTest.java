package tidylantern.core.design.box;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.design.Colour;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.DesignLimits;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterBuilder;
import tidylantern.core.design.look.ColourToken;
import tidylantern.core.design.look.Look;
import tidylantern.core.design.look.LookForm;
import tidylantern.core.design.look.LookType;
import tidylantern.core.design.look.Palette;
import tidylantern.core.design.look.ReadyLook;
import tidylantern.core.design.look.Scheme;
import tidylantern.core.design.look.Shade;
import tidylantern.core.design.look.WornLook;
import tidylantern.core.query.SearchFixture;

/** The box of a search: its sizes, its colours, what can be chosen in it. */
class SearchBoxTest {
    private static BoxDress dress(BoxColours rest, BoxColours focused) {
        return new BoxDress(
                BoxSizes.asLook(),
                BoxType.asLook(),
                90,
                rest,
                BoxColours.asLook(),
                focused,
                new BoxDress.OverPage(null, 24));
    }

    private static @Nullable Paint paint(Random random) {
        return switch (random.nextInt(3)) {
            case 0 -> null;
            case 1 -> Paint.of(ColourToken.values()[random.nextInt(ColourToken.values().length)]);
            default -> new Paint("#%06x".formatted(random.nextInt(0x1000000)));
        };
    }

    /** WCAG 2.2, 1.4.3 and 1.4.11, over random grounds and colours, in all ready looks and both shades. */
    @Test
    void whateverAnOwnerPaintsTheWordsCanBeReadWhereAnyCan() {
        Random random = new Random(17);
        int gradients = 0;
        for (int i = 0; i < 2_000; i++) {
            Paint ground = paint(random);
            BoxColours rest =
                    new BoxColours(ground, ground == null ? null : paint(random), paint(random), paint(random));
            Look look = Look.of(ReadyLook.values()[random.nextInt(ReadyLook.values().length)]);
            Palette palette = WornLook.of(Look.asBelow(), look).palette(Shade.values()[random.nextInt(2)]);

            BoxPainting painting = BoxPainting.of(dress(rest, BoxColours.asLook()), BoxDress.State.REST, palette);

            Colour first = painting.ground() == null ? palette.get(ColourToken.GROUND) : painting.ground();
            for (Colour written : List.of(painting.text(), painting.quiet(), painting.accent())) {
                assertThat(written.contrast(first))
                        .as("%s of %s", written, rest)
                        .isGreaterThanOrEqualTo(Colour.TEXT);
            }
            assertThat(painting.edge().contrast(palette.get(ColourToken.AROUND)))
                    .as("edge of %s", rest)
                    .isGreaterThanOrEqualTo(Colour.NOT_TEXT);
            Colour ending = painting.ending();
            if (ending != null) {
                gradients++;
                boolean anyCan = Stream.of("#000000", "#ffffff")
                        .map(Colour::of)
                        .anyMatch(one -> one.contrast(first) >= Colour.TEXT && one.contrast(ending) >= Colour.TEXT);
                boolean canBeRead = painting.text().contrast(ending) >= Colour.TEXT;
                // Between two ends that are far apart some grey may do where neither black nor white does.
                assertThat(canBeRead || !anyCan).as("on both ends of %s", rest).isTrue();
                assertThat(painting.isReadable()).isEqualTo(canBeRead);
            }
        }
        assertThat(gradients).as("gradients that were looked at").isGreaterThan(100);
    }

    @Test
    void aStateKeepsWhatItDoesNotSayFromTheBoxAtRest() {
        BoxColours rest = new BoxColours(new Paint("#114455"), new Paint("#0e5f63"), null, new Paint("#ffffff"));

        BoxColours focused = dress(rest, new BoxColours(null, null, new Paint("accent"), null))
                .colours(BoxDress.State.FOCUSED);

        assertThat(focused)
                .isEqualTo(new BoxColours(
                        new Paint("#114455"), new Paint("#0e5f63"), new Paint("accent"), new Paint("#ffffff")));
        assertThat(dress(rest, new BoxColours(new Paint("#222222"), null, null, null))
                        .colours(BoxDress.State.FOCUSED)
                        .ending())
                .as("a ground of its own ends the gradient at rest")
                .isNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "sea", "#12", "url(x)", "accent;", "#12345g"})
    void whatIsNoColourIsRefused(String written) {
        assertThatThrownBy(() -> new Paint(written)).isInstanceOf(DesignFault.class);
    }

    @Test
    void aColourIsWrittenInOneWay() {
        assertThat(new Paint(" #8A5 ")).isEqualTo(new Paint("#88aa55"));
        assertThat(new Paint("ACCENT-text")).isEqualTo(Paint.of(ColourToken.ACCENT_TEXT));
    }

    @ParameterizedTest
    @CsvSource({"font,{},", "font,inherit,", "weight,,250", "weight,,950", "weight,,444"})
    void lettersThatAreNoneAreRefusedByTheirName(String key, @Nullable String font, @Nullable Integer weight) {
        assertThatThrownBy(() -> new BoxType(font, weight))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo(key));
    }

    @ParameterizedTest
    @CsvSource({"width,159", "width,1601", "height,31", "height,97", "corners,49", "edge,-1", "text,11"})
    void aSizeBeyondItsLimitIsRefusedByItsName(String size, int px) {
        assertThatThrownBy(() -> new BoxSizes(
                        size.equals("width") ? px : null,
                        size.equals("height") ? px : null,
                        null,
                        null,
                        size.equals("corners") ? px : null,
                        size.equals("edge") ? px : null,
                        size.equals("text") ? px : null))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo(size))
                .hasMessageContaining(Integer.toString(px))
                .hasMessageContaining(Integer.toString(DesignLimits.byPath()
                        .get("places.box.dress.sizes." + size)
                        .least()));
    }

    @Test
    void aGradientNeedsAColourToBeginWith() {
        assertThatThrownBy(() -> new BoxColours(null, new Paint("accent"), null, null))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("ending"));
    }

    @ParameterizedTest
    @EnumSource(ReadyBox.class)
    void aReadyBoxKeepsWhereTheBoxLeadsAndWhatCanBeChosen(ReadyBox ready) {
        SearchBox owners = new SearchBox(
                BoxArrangement.usual(), null, 700, Chooser.ofCollections(), SearchBox.Leads.FIRST, BoxDress.asLook());

        SearchBox box = ready.of(owners);

        assertThat(box.chooser()).isEqualTo(Chooser.ofCollections());
        assertThat(box.leads()).isEqualTo(SearchBox.Leads.FIRST);
        assertThat(box.narrowUpTo()).isEqualTo(700);
        assertThat(ready.of(box)).as("begun from twice").isEqualTo(box);
    }

    @Test
    void whatIsChosenInTheBoxIsTheLastOfTheFiltersAndTakesNoName() {
        SearchDesign design = SearchFixture.design()
                .withFilters(List.of(FilterBuilder.categories("kind", "Kind", "kind")))
                .withBox(SearchBox.usual().withChooser(Chooser.ofCollections()));
        assertThat(design.filtersInUse()).extracting(Filter::key).containsExactly("kind", "in");
        assertThat(design.filters()).extracting(Filter::key).containsExactly("kind");

        SearchDesign called = SearchFixture.design().withFilters(List.of(FilterBuilder.categories("in", "In", "kind")));
        assertThatThrownBy(() -> called.withBox(SearchBox.usual().withChooser(Chooser.ofCollections())))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("places.box.chooser"));
    }

    @Test
    void aGradientOnWhichNothingCanBeReadIsSaidWhereSomebodyMeetsIt() {
        BoxColours middling = new BoxColours(new Paint("#6a6a6a"), new Paint("#8a8a8a"), null, null);
        WornLook light = WornLook.of(
                new Look(null, Scheme.LIGHT, Map.of(), Map.of(), LookType.asBelow(), LookForm.asBelow()),
                Look.asBelow());

        assertThat(DesignChecks.of(dress(middling, BoxColours.asLook()), light))
                .singleElement()
                .satisfies(remark -> {
                    assertThat(remark.step()).isEqualTo(DesignChecks.Step.BOX);
                    assertThat(remark.text()).startsWith("On light pages no colour of words can be read");
                });
        BoxColours soft = new BoxColours(new Paint("#0e5f63"), new Paint("#114455"), null, null);
        assertThat(DesignChecks.of(dress(soft, BoxColours.asLook()), light)).isEmpty();
        assertThat(DesignChecks.of(BoxDress.asLook(), light)).isEmpty();
    }
}
