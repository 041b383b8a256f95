package tidylantern.core.design.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import tidylantern.core.design.Colour;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.DesignFault;
import tidylantern.core.design.TierLooks;

class LookTest {
    private static WornLook worn(ReadyLook ready) {
        return WornLook.of(Look.asBelow(), Look.of(ready));
    }

    private static Look with(String token, String colour) {
        ColourToken of = ColourToken.valueOf(token);
        return Look.asBelow().with(Shade.LIGHT, of, Colour.of(colour));
    }

    // WCAG 2.2 itself gives 21 for black on white; the others are published examples of its techniques G17 and G18,
    // from memory: #767676 is the lightest grey that passes 4.5 on white, #777777 does not.
    @ParameterizedTest
    @CsvSource({"#000000, #ffffff, 21", "#767676, #ffffff, 4.54", "#777777, #ffffff, 4.48", "#ff0000, #ffffff, 4.00"})
    void contrastIsThatOfWcag(String front, String behind, double ratio) {
        assertThat(Colour.of(front).contrast(Colour.of(behind))).isEqualTo(ratio, within(0.005));
    }

    @ParameterizedTest
    @EnumSource
    void everyReadyLookCanBeReadLightAndDark(ReadyLook ready) {
        assertThat(LookChecks.contrasts(worn(ready)))
                .hasSize(2 * Palette.PAIRS.size())
                .allMatch(LookChecks.PairContrast::passes);
        assertThat(DesignChecks.of(worn(ready))).isEmpty();
    }

    @Test
    void readyLooksDifferInMoreThanColour() {
        assertThat(ReadyLook.values()).hasSizeGreaterThanOrEqualTo(6);
        assertThat(List.of(ReadyLook.values()))
                .extracting(ready -> List.of(
                        ready.look().form().cards(),
                        ready.look().form().density(),
                        ready.look().form().corners()))
                .doesNotHaveDuplicates();
        assertThat(List.of(ReadyLook.values()))
                .extracting(ready -> ready.look().type().font())
                .as("five kinds of type at least")
                .matches(fonts -> fonts.stream().distinct().count() >= 5);
    }

    @Test
    void aSearchWearsWhatItsSiteDoesButForItsOwn() {
        Look site = Look.of(ReadyLook.GAZETTE).with(Shade.LIGHT, ColourToken.ACCENT, Colour.of("#224466"));
        Look search = with("MARK", "#ffee99");

        WornLook worn = WornLook.of(search, site);

        Palette light = worn.palette(Shade.LIGHT);
        assertThat(light.get(ColourToken.MARK)).isEqualTo(Colour.of("#ffee99"));
        assertThat(light.get(ColourToken.ACCENT)).isEqualTo(Colour.of("#224466"));
        assertThat(light.get(ColourToken.TEXT))
                .isEqualTo(worn(ReadyLook.GAZETTE).palette(Shade.LIGHT).get(ColourToken.TEXT));
        assertThat(worn.cards()).isEqualTo(CardForm.BARE);
    }

    @Test
    void aSearchThatBeginsFromAReadyLookTakesNothingOfItsSite() {
        Look site = Look.of(ReadyLook.GAZETTE).with(Shade.LIGHT, ColourToken.ACCENT, Colour.of("#224466"));

        assertThat(WornLook.of(Look.of(ReadyLook.LEDGER), site).palette(Shade.LIGHT))
                .isEqualTo(worn(ReadyLook.LEDGER).palette(Shade.LIGHT));
    }

    @Test
    void whatCannotBeReadIsListedWithTheNearestColourThatCan() {
        WornLook worn = WornLook.of(with("QUIET", "#b0b8bc"), Look.asBelow());

        List<LookChecks.PairContrast> failing = LookChecks.contrasts(worn).stream()
                .filter(contrast -> !contrast.passes())
                .toList();

        assertThat(failing).isNotEmpty().allSatisfy(contrast -> {
            assertThat(contrast.front()).isEqualTo(ColourToken.QUIET);
            assertThat(contrast.shade()).isEqualTo(Shade.LIGHT);
            Colour nearest = contrast.nearest();
            assertThat(nearest).isNotNull();
            WornLook mended = WornLook.of(Look.asBelow().with(Shade.LIGHT, ColourToken.QUIET, nearest), Look.asBelow());
            assertThat(DesignChecks.of(mended)).isEmpty();
        });
        assertThat(DesignChecks.of(worn))
                .extracting(DesignChecks.Remark::text)
                .singleElement()
                .asString()
                .startsWith(
                        "In the look's light colours, \"Second lines\" on \"Behind what is pointed at\" has a contrast");
    }

    @Test
    void aShadeThatNobodyMeetsIsNotSaidToFail() {
        Look look = with("QUIET", "#b0b8bc");
        Look dark = new Look(null, Scheme.DARK, look.light(), look.dark(), look.type(), look.form());

        assertThat(DesignChecks.of(WornLook.of(dark, Look.asBelow()))).isEmpty();
    }

    /** Over random colours: what is proposed passes with everything that it meets. */
    @Test
    void whatIsProposedPasses() {
        Random random = new Random(16);
        for (int i = 0; i < 300; i++) {
            ColourToken token = ColourToken.values()[random.nextInt(ColourToken.values().length)];
            Palette palette = worn(ReadyLook.SHINGLE)
                    .palette(Shade.values()[random.nextInt(2)])
                    .with(token, new Colour(random.nextInt(256), random.nextInt(256), random.nextInt(256)));
            Colour nearest = palette.nearest(token);
            if (nearest != null) {
                assertThat(palette.with(token, nearest).failing())
                        .as("%s as %s", token, nearest)
                        .noneMatch(pair -> pair.front() == token || pair.behind() == token);
            }
        }
    }

    /** Every ready look, light and dark, with grounds and edges of tiers in any colour. */
    @ParameterizedTest
    @EnumSource
    void aTiersCardCanBeReadInAnyLook(ReadyLook ready) {
        Random random = new Random(ready.ordinal());
        for (Shade shade : Shade.values()) {
            Palette palette = worn(ready).palette(shade);
            for (int i = 0; i < 100; i++) {
                String picked = new Colour(random.nextInt(256), random.nextInt(256), random.nextInt(256)).toString();
                TierDress dress =
                        TierDress.of(new TierLooks(picked, null, TierLooks.Edge.CLEAR, picked, null), palette);

                Colour ground = Colour.of(picked);
                assertThat(List.of(dress.text(), dress.quiet(), dress.accent()))
                        .allMatch(colour -> colour.contrast(ground) >= Colour.TEXT);
                assertThat(dress.edge().contrast(palette.get(ColourToken.AROUND)))
                        .as("edge %s on %s, %s", picked, ready, shade)
                        .isGreaterThanOrEqualTo(Colour.NOT_TEXT);
            }
        }
    }

    @Test
    void aTierWithoutAGroundKeepsTheTextsOfTheLook() {
        Palette palette = worn(ReadyLook.HARBOUR).palette(Shade.DARK);

        TierDress dress = TierDress.of(TierLooks.plain(), palette);

        assertThat(dress.ground()).isNull();
        assertThat(dress.text()).isEqualTo(palette.get(ColourToken.TEXT));
        assertThat(dress.quiet()).isEqualTo(palette.get(ColourToken.QUIET));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Charter; } body { display: none",
                "url(https://elsewhere.example/x)",
                "Charter'",
                "a\nb",
                "Charter</style>"
            })
    void nothingButFamiliesIsAFont(String written) {
        assertThatThrownBy(() -> new LookType(written, null, null, null))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("font"));
    }

    @Test
    void valuesOutOfRangeAreRefusedByName() {
        assertThatThrownBy(() -> new LookType(null, null, 40, null))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("size"));
        assertThatThrownBy(() -> new LookType(null, null, null, 450))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("titleWeight"));
        assertThatThrownBy(() -> new LookForm(null, null, 99, null, null, null))
                .isInstanceOfSatisfying(
                        DesignFault.class, fault -> assertThat(fault.key()).isEqualTo("corners"));
        assertThatThrownBy(() -> Colour.of("blue"))
                .isInstanceOf(DesignFault.class)
                .hasMessageContaining("\"blue\" is no colour");
        assertThat(new Look(null, null, Map.of(), Map.of(), LookType.asBelow(), LookForm.asBelow()))
                .isEqualTo(Look.asBelow());
    }
}
