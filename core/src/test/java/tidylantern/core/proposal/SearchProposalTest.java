package tidylantern.core.proposal;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntFunction;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.design.filter.CategoryControl;
import tidylantern.core.design.filter.DayControl;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.NumberControl;
import tidylantern.core.design.filter.NumberSource;
import tidylantern.core.design.results.Arranged;
import tidylantern.core.query.SearchFixture;

/** What is proposed for a site, from what its content says. */
class SearchProposalTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);
    private static final int ITEMS = 24;

    @TempDir
    private Path folder;

    private SearchFixture fixture;
    private final List<Collection> collections = new ArrayList<>();

    @BeforeEach
    void open() {
        fixture = new SearchFixture(folder);
    }

    @AfterEach
    void close() throws Exception {
        fixture.close();
    }

    /** A field with what the n-th of its items says; nothing where that is null. */
    private record Said(String property, FieldKind kind, IntFunction<Object> value) {}

    private static Said title() {
        return new Said("title", FieldKind.TEXT, n -> "Thing number " + n);
    }

    private static Said categories(String property, int values) {
        return new Said(property, FieldKind.CATEGORY, n -> property + " " + n % values);
    }

    private void collection(String key, String language, Said... fields) {
        Collection collection = new Collection(
                new CollectionKey(key),
                Field.labelFrom(key),
                language,
                Arrays.stream(fields)
                        .map(field -> new Field(
                                new FieldKey(field.property()),
                                field.kind(),
                                field.property(),
                                Field.labelFrom(field.property())))
                        .toList());
        collections.add(collection);
        for (int n = 0; n < ITEMS; n++) {
            Map<String, Object> says = new LinkedHashMap<>();
            for (Said field : fields) {
                Object value = field.value().apply(n);
                if (value != null) {
                    says.put(field.property(), value);
                }
            }
            fixture.item(collection, key + "-" + n, says);
        }
    }

    private SearchProposal proposal(SearchProposal.Wanted wanted) {
        fixture.indexed();
        SearchProposal proposal = SearchProposal.of(fixture.index(), new SiteContent(collections), wanted, TODAY);
        assertThat(DesignChecks.of(proposal.design(), new SiteContent(collections)))
                .as("it can be published as it is, with nothing to look at")
                .isEmpty();
        return proposal;
    }

    private SearchProposal proposal() {
        return proposal(SearchProposal.Wanted.named("Ours"));
    }

    private static List<String> filters(SearchProposal proposal) {
        return proposal.design().filters().stream().map(Filter::key).toList();
    }

    private static Filter filter(SearchProposal proposal, String key) {
        return proposal.design().filters().stream()
                .filter(one -> one.key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void atMostSixFiltersAndThoseThatNarrowBest() {
        collection(
                "things",
                "en",
                title(),
                categories("makes", 6),
                categories("shape", 5),
                categories("colour", 4),
                categories("size", 3),
                categories("room", 8),
                categories("wood", 7),
                new Said("always", FieldKind.CATEGORY, n -> "the same"),
                new Said("seldom", FieldKind.CATEGORY, n -> n == 0 ? "once" : null),
                new Said("own", FieldKind.CATEGORY, n -> "own " + n),
                new Said("open", FieldKind.YES_NO, n -> n == 0));
        assertThat(filters(proposal())).hasSize(6).doesNotContain("always", "seldom", "own", "open");
    }

    /** A filter is called by its field, unless that is a parameter of the search or what is chosen in the box. */
    @Test
    void aFieldCalledAsAParameterMakesAFilterOfAnotherName() {
        collection("things", "en", title(), categories("in", 4), categories("page", 3), categories("order", 5));
        collection("others", "en", title(), categories("colour", 3));
        assertThat(filters(proposal())).contains("by-in", "by-page", "by-order");
    }

    @Test
    void daysThatAreAllTheSameAreNoFilter() {
        collection("things", "en", title(), new Said("published", FieldKind.DATE, n -> "2026-01-02"));
        assertThat(filters(proposal())).isEmpty();
    }

    @Test
    void twoFieldsWhoseValuesAlwaysGoTogetherAreOneFilter() {
        collection(
                "things",
                "en",
                title(),
                categories("country", 4),
                new Said("land", FieldKind.CATEGORY, n -> "Land " + n % 4),
                categories("colour", 3));
        assertThat(filters(proposal())).hasSize(2).contains("colour").containsAnyOf("country", "land");
    }

    @Test
    void aFilterOfOneCollectionShowsOnlyWhileThatIsFound() {
        collection("homes", "en", title(), categories("offer", 3));
        collection("makers", "en", title(), categories("trade", 4));
        collection("posts", "en", title());
        SearchProposal proposal = proposal();
        assertThat(filter(proposal, "offer").shown().collections()).containsExactly(new CollectionKey("homes"));
        assertThat(filter(proposal, "offer").shown().narrowing()).isTrue();
        assertThat(proposal.design().box().chooser())
                .as("several collections to choose among")
                .isNotNull();
        assertThat(proposal.design().live().grouped()).isTrue();
    }

    @Test
    void numbersAreHandledAsTheirNamesAndValuesTell() {
        collection(
                "homes",
                "en",
                title(),
                new Said("price", FieldKind.MONEY, n -> n < 14 ? 300 + n : 100_000 + 9_000 * n),
                new Said("bedrooms", FieldKind.NUMBER, n -> 1 + n % 5),
                new Said("minutes", FieldKind.NUMBER, n -> 5 + n % 9),
                new Said("area", FieldKind.NUMBER, n -> 40 + 3 * n),
                new Said("phone", FieldKind.NUMBER, n -> 555_000 + n));
        SearchProposal proposal = proposal();
        assertThat(filter(proposal, "price").source().control()).isEqualTo(NumberControl.BANDS);
        assertThat(filter(proposal, "price").source())
                .isInstanceOfSatisfying(
                        NumberSource.class, source -> assertThat(source.bands()).isNotEmpty());
        assertThat(filter(proposal, "bedrooms").source().control()).isEqualTo(NumberControl.AT_LEAST);
        assertThat(filter(proposal, "minutes").source().control()).isEqualTo(NumberControl.AT_MOST);
        assertThat(filter(proposal, "area").source().control()).isEqualTo(NumberControl.RANGE);
        assertThat(filters(proposal)).doesNotContain("phone");
        assertThat(proposal.told()).isEqualTo(KindOfSite.HOMES);
    }

    @Test
    void aTripProgrammeStandsByItsNextDays() {
        collection(
                "outings",
                "en",
                title(),
                new Said("days", FieldKind.DATE, n -> TODAY.plusDays(n).toString()),
                categories("activity", 4));
        SearchProposal proposal = proposal();
        assertThat(proposal.told()).isEqualTo(KindOfSite.TRIPS);
        assertThat(proposal.design().order().withoutWords())
                .containsExactly(OrderKey.of(OrderKey.By.NEXT_DAY, new FieldKey("days")));
        assertThat(filters(proposal)).startsWith("days");
        assertThat(filter(proposal, "days").source().control()).isEqualTo(DayControl.MONTHS);
    }

    @ParameterizedTest
    @CsvSource({
        "posts, published, date, 2026-01-02, author, text, Maud Ternby, BLOG",
        "recipes, cookTime, number, 20, course, category, Main, RECIPES",
        "rezepte, zutaten, category, Mehl, minuten, number, 20, RECIPES",
        "firms, telefon, text, 0123, trade, category, Tailor, DIRECTORY",
        "houses, price, money, 300, chambres, number, 3, HOMES",
        "shows, departs, date, 2020-01-02, hall, category, North, TRIPS",
        "photos, image, image, /a.png, author, text, Maud, PICTURES",
        "things, size, number, 3, weight, number, 4, OTHER",
    })
    void theKindOfSiteIsToldByItsFields(
            String key,
            String one,
            String oneKind,
            String says,
            String other,
            String otherKind,
            String saysToo,
            String kind) {
        collection(
                key,
                "en",
                title(),
                new Said(one, FieldKind.of(oneKind), n -> says),
                new Said(other, FieldKind.of(otherKind), n -> saysToo));
        assertThat(proposal().told()).hasToString(KindOfSite.valueOf(kind).toString());
    }

    @Test
    void whatPagesAreMarkedUpAsComesBeforeWhatTheirFieldsTell() {
        collection(
                "things",
                "en",
                title(),
                new Said("type", FieldKind.CATEGORY, n -> "TouristTrip"),
                new Said("recipe", FieldKind.TEXT, n -> "of how it goes"));
        assertThat(proposal().told()).isEqualTo(KindOfSite.TRIPS);
    }

    @Test
    void picturesStandOnAWall() {
        collection(
                "photos",
                "en",
                title(),
                new Said("image", FieldKind.IMAGE, n -> "/p" + n + ".png"),
                categories("motif", 4));
        SearchDesign design = proposal().design();
        assertThat(design.page().layout().arranged()).isEqualTo(Arranged.WALL);
        assertThat(design.page().layout().tags()).isEqualTo("motif");
    }

    @Test
    void featuredListingsAreLiftedInTurnsAndToldWherePaidFor() {
        collection(
                "firms",
                "de",
                title(),
                categories("branche", 4),
                new Said("premium", FieldKind.YES_NO, n -> n % 5 == 0));
        SearchDesign design = proposal().design();
        assertThat(design.tiers()).hasSize(1);
        assertThat(design.tiers().getFirst().disclosure()).isEqualTo("Bezahlter Platz");
        assertThat(design.order().withWords().getFirst().by()).isEqualTo(OrderKey.By.TIER);
        assertThat(design.order().withoutWords().getFirst().by()).isEqualTo(OrderKey.By.TIER);
    }

    @Test
    void wordsGoByTheLanguage() {
        collection("eintraege", "de", title(), new Said("strasse", FieldKind.TEXT, n -> "Hafengasse " + n));
        Words words = proposal().design().words();
        assertThat(words.partOfWord()).isEqualTo(Words.PartOfWord.INSIDE);
        assertThat(words.stopWords()).contains("und", "der");
        assertThat(words.searched()).anyMatch(weight -> weight.field().equals(new FieldKey("strasse")));
        assertThat(proposal().design().order().choices())
                .extracting(ResultOrder.Choice::label)
                .contains("Nach Name");
        assertThat(proposal().design().order().label())
                .as("what holds by itself goes by the words once there are some")
                .isEmpty();
    }

    /** Whatever an owner leaves away is not there, and all else is as before. */
    @Test
    void everyPartHasASwitch() {
        collection(
                "homes",
                "en",
                title(),
                new Said("price", FieldKind.MONEY, n -> 100 + n),
                new Said("bedrooms", FieldKind.NUMBER, n -> 1 + n % 5),
                new Said("featured", FieldKind.YES_NO, n -> n % 6 == 0),
                new Said("street", FieldKind.TEXT, n -> "Quay " + n),
                categories("offer", 3));
        collection("photos", "en", title(), new Said("image", FieldKind.IMAGE, n -> "/p" + n + ".png"));
        SearchProposal all = proposal();
        assertThat(all.parts()).extracting(SearchProposal.ProposedPart::on).containsOnly(true);
        for (SearchProposal.ProposedPart part : all.parts()) {
            SearchProposal less = proposal(new SearchProposal.Wanted("Ours", null, null, Set.of(part.key())));
            assertThat(less.design()).as(part.key()).isNotEqualTo(all.design());
            assertThat(less.parts())
                    .filteredOn(one -> !one.on())
                    .extracting(SearchProposal.ProposedPart::key)
                    .containsExactly(part.key());
        }
    }

    @Test
    void nothingDecidedRemainsWhereAllIsLeftAway() {
        collection("homes", "en", title(), new Said("price", FieldKind.MONEY, n -> 100 + n), categories("offer", 3));
        Set<String> keys = Set.copyOf(proposal().parts().stream()
                .map(SearchProposal.ProposedPart::key)
                .toList());
        SearchDesign design =
                proposal(new SearchProposal.Wanted("Ours", null, null, keys)).design();
        assertThat(design.filters()).isEmpty();
        assertThat(design.cards()).isEmpty();
        assertThat(design.words().typos().allowed()).isFalse();
        assertThat(design.order())
                .isEqualTo(SearchDesign.firstFor("Ours", new SiteContent(collections))
                        .order());
    }

    @Test
    void onlyTheCollectionsThatAreWantedAreSearched() {
        collection("homes", "en", title(), categories("offer", 3));
        collection("makers", "en", title(), categories("trade", 4));
        SearchProposal proposal =
                proposal(new SearchProposal.Wanted("Ours", null, Set.of(new CollectionKey("makers")), Set.of()));
        assertThat(proposal.design().searched()).containsExactly(new CollectionKey("makers"));
        assertThat(filters(proposal)).containsExactly("trade");
        assertThat(proposal.collections())
                .extracting(SearchProposal.ProposedCollection::on)
                .containsExactly(false, true);
    }

    /** Whatever the owner says the site is, what is proposed fits what is there. */
    @ParameterizedTest
    @EnumSource
    void anyKindCanBeSaid(KindOfSite kind) {
        collection(
                "homes",
                "en",
                title(),
                categories("offer", 3),
                new Said("tags", FieldKind.CATEGORY, n -> "tag " + n % 5));
        SearchProposal proposal = proposal(new SearchProposal.Wanted("Ours", kind, null, Set.of()));
        assertThat(proposal.kind()).isEqualTo(kind);
        assertThat(filter(proposal, "tags").source().control()).isEqualTo(CategoryControl.CHIPS);
    }

    @Test
    void stepsAreRoundAndHoldAboutAsManyEach() {
        List<Double> numbers = new ArrayList<>();
        for (int n = 1; n <= 100; n++) {
            numbers.add(n < 90 ? n * 1.0 : n * 1_000.0);
        }
        assertThat(NumberSteps.areUneven(numbers)).isTrue();
        assertThat(NumberSteps.between(numbers)).containsExactly(20.0, 40.0, 60.0, 80.0);
        assertThat(NumberSteps.areUneven(List.of(1.0, 2.0, 3.0))).isFalse();
        assertThat(NumberSteps.areUneven(List.of())).isFalse();
    }
}
