package tidylantern.core.health;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.health.Finding.Kind;

class HealthCheckTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
    private static final Collection COLLECTION = new Collection(
            new CollectionKey("outings"),
            "Outings",
            "en",
            List.of(
                    field("title", FieldKind.TEXT),
                    field("summary", FieldKind.TEXT),
                    field("body", FieldKind.TEXT),
                    new Field(FieldKey.ADDRESS, FieldKind.LINK, "url", "Address"),
                    field("image", FieldKind.IMAGE),
                    field("departures", FieldKind.DATE),
                    field("published", FieldKind.DATE),
                    field("activity", FieldKind.CATEGORY),
                    field("place", FieldKind.PLACE),
                    field("rare", FieldKind.TEXT)));
    private final HealthCheck check = new HealthCheck(COLLECTION, TODAY);
    private int items;

    private static Field field(String key, FieldKind kind) {
        return new Field(new FieldKey(key), kind, key, key);
    }

    /** An item that nothing is wrong with, but for what is given; null takes a property away. */
    private HealthCheckTest item(Object... changed) {
        items++;
        Map<String, Object> properties = new HashMap<>(Map.of(
                "title",
                "Walk " + items,
                "summary",
                "A long enough summary of the walk numbered " + items + ", for those who like to read.",
                "body",
                "Twenty words are said of walk " + items
                        + " here, so that nobody finds the text thin, and then some more of them follow on.",
                "url",
                "/walks/" + items,
                "image",
                Map.of("url", "/w.svg", "alt", "A path"),
                "departures",
                List.of("2026-11-20", "2026-12-01"),
                "published",
                "2020-01-01",
                "activity",
                "On foot",
                "place",
                Map.of("lat", 47.0 + items / 1000.0, "lon", -32.0),
                "rare",
                "said"));
        for (int i = 0; i < changed.length; i += 2) {
            if (changed[i + 1].equals("")) {
                properties.remove(changed[i]);
            } else {
                properties.put((String) changed[i], changed[i + 1]);
            }
        }
        try {
            check.accept(new ItemReader(COLLECTION).read(new ItemId("w-" + items), properties));
        } catch (ItemRefused wrong) {
            throw new AssertionError(wrong);
        }
        return this;
    }

    private Finding only(Kind kind) {
        List<Finding> found = check.findings().stream()
                .filter(finding -> finding.kind() == kind)
                .toList();
        assertThat(found).as("%s among %s", kind, check.findings()).hasSize(1);
        return found.getFirst();
    }

    private static List<String> ids(Finding finding) {
        return finding.some().stream().map(ref -> ref.id().value()).toList();
    }

    @Test
    void contentThatNothingIsWrongWithHasNoFindings() {
        item().item().item();
        assertThat(check.findings()).isEmpty();
    }

    @Test
    void whatIsMissingIsToldWithItsItemsWorstFirst() {
        item("title", "")
                .item("summary", "")
                .item("image", "")
                .item("image", Map.of("url", "/w.svg"))
                .item("summary", "Two words", "body", "");
        assertThat(check.findings())
                .extracting(Finding::kind)
                .containsExactly(Kind.NO_TITLE, Kind.THIN_TEXT, Kind.NO_SUMMARY, Kind.NO_IMAGE, Kind.NO_ALTERNATIVE);
        assertThat(ids(only(Kind.NO_TITLE))).containsExactly("w-1");
        assertThat(ids(only(Kind.THIN_TEXT))).containsExactly("w-5");
        assertThat(only(Kind.NO_SUMMARY).what()).isEqualTo("1 item without a summary");
    }

    @Test
    void twoItemsWithOneAddressOrTheSameTextAreTold() {
        item("url", "/same").item("url", "/same").item();
        String said =
                "Just the same long text of a walk, said by two items word by word, spaces aside, and by no other item of them.";
        item("body", said, "summary", "").item("body", said.replace(" ", "  "), "summary", "");
        assertThat(ids(only(Kind.SAME_ADDRESS))).containsExactly("w-1", "w-2");
        assertThat(ids(only(Kind.SAME_TEXT))).containsExactly("w-4", "w-5");
    }

    @Test
    void datesArePastOnlyWhenTheLastOfThemIs() {
        item("departures", List.of("2026-11-20", "2026-11-24")).item("departures", List.of("2026-11-20", "2026-11-25"));
        assertThat(ids(only(Kind.DATES_PAST)))
                .as("published is of the past by nature")
                .containsExactly("w-1");
    }

    @Test
    void theRarerOfTwoSpellingsIsMergedIntoTheOther() {
        item("activity", "Row-boats/Harbour")
                .item("activity", "Rowboats/Harbour")
                .item("activity", "Row-boats/Harbour")
                .item("activity", "ROW-BOATS");
        Finding spelled = only(Kind.TWO_SPELLINGS);
        Finding.Merge merge = Objects.requireNonNull(spelled.merge());
        assertThat(merge.from().names()).containsExactly("Rowboats");
        assertThat(merge.into().names()).containsExactly("Row-boats");
        assertThat(ids(spelled)).containsExactly("w-2");
    }

    @Test
    void aSlipOfOneLetterIsToldWhereOneSpellingIsMuchRarer() {
        for (int i = 0; i < 8; i++) {
            item("activity", "Walking");
        }
        item("activity", "Waling").item("activity", "Room 12").item("activity", "Room 13");
        assertThat(Objects.requireNonNull(only(Kind.TWO_SPELLINGS).merge())
                        .from()
                        .names())
                .as("numbers one digit apart are no slip")
                .containsExactly("Waling");
    }

    @Test
    void aPlaceFarFromAllOthersIsTold() {
        item().item().item().item().item().item("place", Map.of("lat", -32.0, "lon", 47.0));
        assertThat(ids(only(Kind.PLACE_FAR_OFF))).containsExactly("w-6");
    }

    @Test
    void aFieldThatHardlyAnyItemHasIsNearlyEmpty() {
        for (int i = 0; i < 25; i++) {
            item("rare", i == 7 ? "said" : "");
        }
        assertThat(only(Kind.FIELD_NEARLY_EMPTY)).satisfies(finding -> {
            assertThat(finding.field()).isEqualTo(new FieldKey("rare"));
            assertThat(finding.items()).isEqualTo(24);
        });
    }
}
