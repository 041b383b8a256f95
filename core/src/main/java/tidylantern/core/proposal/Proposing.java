package tidylantern.core.proposal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignChecks.Step;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.OrderKey;
import tidylantern.core.design.Reach;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.ResultOrder;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Tier;
import tidylantern.core.design.TierLooks;
import tidylantern.core.design.Words;
import tidylantern.core.design.box.Chooser;
import tidylantern.core.design.card.Card;
import tidylantern.core.design.card.Place;
import tidylantern.core.design.card.ReadyCards;
import tidylantern.core.design.filter.CategorySource;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.results.Arranged;
import tidylantern.core.design.results.Layout;
import tidylantern.core.design.results.PopularCategories;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.index.StopWordLists;

/** Makes one proposal: part after part, each a change of the design before it. */
final class Proposing {
    /** Languages in which words are written together: common practice among German, Dutch and the Nordic ones. */
    private static final Set<String> COMPOUNDING = Set.of("da", "de", "fi", "nb", "nl", "no", "sv");
    /** Languages that are not written letter by letter, in which another sign is another word. */
    private static final Set<String> UNSPELT = Set.of("ja", "ko", "zh");
    /** Looking inside words costs as much as there are different ones. */
    private static final int MOST_TO_LOOK_INSIDE = 50_000;

    private static final int MOST_CHOOSABLE = 8;
    private static final int SHORT_TEXT = 8;
    private static final int PICTURES_A_PAGE = 24;
    private static final int LIVE_OF_ONE = 6;

    private final SiteIndex index;
    private final SiteContent content;
    private final SearchProposal.Wanted wanted;
    private final LocalDate today;
    private final List<CollectionSample> all;
    private final List<CollectionSample> samples;
    private final KindOfSite told;
    private final KindOfSite kind;
    private final VisitorNames names;
    private final List<SearchProposal.ProposedPart> parts = new ArrayList<>();
    private SearchDesign design;

    Proposing(SiteIndex index, SiteContent content, SearchProposal.Wanted wanted, LocalDate today) {
        this.index = index;
        this.content = content;
        this.wanted = wanted;
        this.today = today;
        all = content.collections().stream()
                .map(collection -> CollectionSample.of(index, content, collection))
                .toList();
        samples = all.stream().filter(this::isSearched).toList();
        told = KindOfSite.of(samples, today);
        kind = wanted.kind() == null ? told : wanted.kind();
        design = plain(wanted.name(), content, keys());
        names = new VisitorNames(Locale.forLanguageTag(content.language(keys())));
    }

    private boolean isSearched(CollectionSample sample) {
        return wanted.collections() == null
                ? sample.items() > 0
                : wanted.collections().contains(sample.collection().key());
    }

    private Set<CollectionKey> keys() {
        return samples.stream().map(sample -> sample.collection().key()).collect(Collectors.toSet());
    }

    /** What remains where everything is left away: these collections, weights for what they have, words as spelt. */
    private static SearchDesign plain(String name, SiteContent content, Set<CollectionKey> searched) {
        SearchDesign first = SearchDesign.firstFor(name, content);
        Set<FieldKey> fields = content.collections().stream()
                .filter(collection -> searched.contains(collection.key()))
                .flatMap(collection -> collection.fields().stream())
                .map(Field::key)
                .collect(Collectors.toSet());
        return first.withReach(new Reach(first.reach().collections().stream()
                        .filter(one -> searched.contains(one.collection()))
                        .toList()))
                .withWords(first.words()
                        .withTypos(new Words.Typos(false, true))
                        .withWeights(first.words().weights().stream()
                                .filter(weight -> fields.contains(weight.field()))
                                .toList()));
    }

    SearchProposal proposal() {
        words();
        List<Filter> filters = filters();
        featured();
        order();
        cards();
        box();
        live();
        page(filters);
        return new SearchProposal(
                told,
                kind,
                all.stream()
                        .map(sample -> new SearchProposal.ProposedCollection(
                                sample.collection().key(),
                                sample.collection().label(),
                                sample.items(),
                                KindOfSite.of(sample, today),
                                samples.contains(sample)))
                        .toList(),
                parts,
                design);
    }

    /** @return whether it is on */
    private boolean part(String key, Step step, String what, String why, UnaryOperator<SearchDesign> change) {
        boolean isOn = !wanted.without().contains(key);
        parts.add(new SearchProposal.ProposedPart(key, step, what, why, isOn));
        if (isOn) {
            design = change.apply(design);
        }
        return isOn;
    }

    private void words() {
        Map<FieldKey, Field> more = new LinkedHashMap<>();
        for (CollectionSample sample : samples) {
            for (Field field : sample.of(FieldKind.TEXT, FieldKind.PLACE)) {
                boolean isWeighed = design.words().weights().stream()
                        .anyMatch(weight -> weight.field().equals(field.key()));
                if (!isWeighed && sample.saying(field.key()) > 0) {
                    more.putIfAbsent(field.key(), field);
                }
            }
        }
        if (!more.isEmpty()) {
            part(
                    "words-further-fields",
                    Step.WORDS,
                    "Also searched: " + labels(more.values().stream()),
                    "Titles, texts, codes and categories are searched anyway; these hold words too",
                    now -> now.withWords(now.words()
                            .withWeights(Stream.concat(
                                            now.words().weights().stream(),
                                            more.values().stream()
                                                    .map(field -> new FieldWeight(field.key(), weight(field))))
                                    .toList())));
        }
        typos();
        stopWords();
        insideOfWords();
    }

    private static String labels(Stream<Field> fields) {
        return fields.map(Field::label).distinct().collect(Collectors.joining(", "));
    }

    /** Names and other short texts say what an item is; long ones are about anything. */
    private double weight(Field field) {
        boolean isShort = samples.stream()
                .filter(sample -> sample.collection().field(field.key()) != null)
                .allMatch(sample -> sample.words(field.key()) <= SHORT_TEXT);
        return isShort ? 2 : 1;
    }

    private void typos() {
        if (!UNSPELT.containsAll(languages())) {
            part(
                    "words-typos",
                    Step.WORDS,
                    "Slips of the keyboard are forgiven",
                    "One in words of 4 to 7 letters, two in longer ones; codes must be right",
                    now -> now.withWords(now.words().withTypos(new Words.Typos(true, true))));
        }
    }

    private void stopWords() {
        List<String> languages = languages();
        List<String> words = languages.stream()
                .flatMap(language -> StopWordLists.of(language).stream())
                .distinct()
                .toList();
        // What is a little word in one language names things in another.
        if (languages.size() == 1 && !words.isEmpty()) {
            part(
                    "words-stop-words",
                    Step.WORDS,
                    "%d little words do not count".formatted(words.size()),
                    "People type whole questions; “%s” and their like would keep the answer from being found"
                            .formatted(words.stream().limit(3).collect(Collectors.joining("”, “"))),
                    now -> now.withWords(now.words().withStopWords(words)));
        }
    }

    private List<String> languages() {
        return content.languages(keys()).stream()
                .map(tag -> Locale.forLanguageTag(tag).getLanguage())
                .distinct()
                .sorted()
                .toList();
    }

    private void insideOfWords() {
        int items = samples.stream().mapToInt(CollectionSample::items).sum();
        if (items <= MOST_TO_LOOK_INSIDE && languages().stream().anyMatch(COMPOUNDING::contains)) {
            part(
                    "words-inside",
                    Step.WORDS,
                    "Words are found inside longer ones",
                    "The language writes words together, and visitors type a part of them",
                    now -> now.withWords(now.words().withPartOfWord(Words.PartOfWord.INSIDE)));
        }
    }

    /** @return those that are on */
    private List<Filter> filters() {
        List<Filter> on = new ArrayList<>();
        for (ProposedFilters.Proposed one :
                ProposedFilters.of(NarrowingFields.of(index, content, design, today), samples, kind, today, names)) {
            boolean isOn = part(
                    "filter-" + one.filter().key(),
                    Step.FILTERS,
                    "“%s”".formatted(one.filter().label()),
                    one.why(),
                    now -> now.withFilters(Stream.concat(now.filters().stream(), Stream.of(one.filter()))
                            .toList()));
            if (isOn) {
                on.add(one.filter());
            }
        }
        return on;
    }

    private void featured() {
        Field field = samples.stream()
                .flatMap(sample -> sample.of(FieldKind.YES_NO).stream())
                .filter(FieldWords.FEATURED::name)
                .findFirst()
                .orElse(null);
        if (field == null) {
            return;
        }
        String paid = FieldWords.PAID_FOR.name(field) ? names.of("paid") : null;
        Tier tier = new Tier(
                "featured",
                names.of("featured"),
                1,
                List.of(new Tier.Holders(null, ReachRule.category(field.key(), "yes"))),
                new Tier.Lift(3, 1, Tier.Turns.BY_DAY),
                paid,
                TierLooks.ribbon(names.of("featured")));
        part(
                "order-featured",
                Step.ORDER,
                "Up to 3 items with “%s” stand first, in turns".formatted(field.label()),
                "“%s” reads as if these were to be shown before others".formatted(field.label()),
                now -> now.withTiers(List.of(tier)));
    }

    private void order() {
        ProposedOrder proposed = new ProposedOrder(samples, kind, today, names);
        ProposedOrder.First first = proposed.withoutWords();
        part(
                "order-without-words",
                Step.ORDER,
                "Without words: " + first.label(),
                first.why(),
                // What it is called has to fit the order with words, too: its usual name does.
                now -> now.withOrder(
                        new ResultOrder(List.of(), first.by(), now.order().choices(), "")));
        List<ResultOrder.Choice> choices = proposed.choices();
        if (!choices.isEmpty()) {
            part(
                    "order-choices",
                    Step.ORDER,
                    "Visitors may choose: "
                            + choices.stream().map(ResultOrder.Choice::label).collect(Collectors.joining(" · ")),
                    "Most items say what these go by",
                    now -> now.withOrder(new ResultOrder(
                            now.order().withWords(),
                            now.order().withoutWords(),
                            choices,
                            now.order().label())));
        }
        if (!design.tiers().isEmpty()) {
            design = design.withOrder(new ResultOrder(
                    lifted(design.order().withWords()),
                    lifted(design.order().withoutWords()),
                    design.order().choices(),
                    design.order().label()));
        }
    }

    private static List<OrderKey> lifted(List<OrderKey> by) {
        return Stream.concat(
                        Stream.of(OrderKey.of(OrderKey.By.TIER), OrderKey.of(OrderKey.By.PLACE_IN_TIER)), by.stream())
                .toList();
    }

    private void cards() {
        for (CollectionSample sample : samples) {
            KindOfSite itsKind = samples.size() == 1 ? kind : KindOfSite.of(sample, today);
            ReadyCards.Ready ready = itsKind.card(ReadyCards.of(sample.collection(), content, sample.some()));
            Card card = new Card(Place.LIST, sample.collection().key(), ready.body());
            if (card.fields().isEmpty()) {
                continue;
            }
            part(
                    "card-" + sample.collection().key(),
                    Step.CARDS,
                    "%s: %s".formatted(sample.collection().label(), ready.name().toLowerCase(Locale.ROOT)),
                    "Its items say "
                            + labels(sample.collection().fields().stream()
                                    .filter(field -> card.fields().contains(field.key()))),
                    now -> now.withCards(
                            Stream.concat(now.cards().stream(), Stream.of(card)).toList()));
        }
    }

    private void box() {
        if (samples.size() > 1 && samples.size() <= MOST_CHOOSABLE) {
            part(
                    "box-chooser",
                    Step.BOX,
                    "In the box visitors may choose what they search in",
                    "%d collections are searched".formatted(samples.size()),
                    now -> now.withBox(now.box().withChooser(Chooser.ofCollections())));
        }
    }

    private void live() {
        if (samples.size() == 1) {
            part(
                    "live-one-list",
                    Step.LIVE,
                    "%d live results in one list".formatted(LIVE_OF_ONE),
                    "One collection is searched, so there is nothing to group them by",
                    now -> now.withLive(now.live().holding(LIVE_OF_ONE, false)));
        }
    }

    private void page(List<Filter> filters) {
        Filter categories = filters.stream()
                .filter(filter -> filter.source() instanceof CategorySource)
                .findFirst()
                .orElse(null);
        if (kind == KindOfSite.PICTURES) {
            part(
                    "page-wall",
                    Step.PAGE,
                    "A wall of pictures that open large",
                    "Nearly every item has a picture, and little else",
                    now -> now.withPage(wall(now.page(), categories)));
        }
        if (categories != null) {
            part(
                    "page-popular",
                    Step.PAGE,
                    "Where nothing is found, values of “%s” lead on".formatted(categories.label()),
                    "Nobody is left before an empty page",
                    now -> now.withPage(now.page().withPopular(PopularCategories.of(categories.key()))));
        }
    }

    private static ResultsPage wall(ResultsPage page, @Nullable Filter tags) {
        return page.laidOut(PICTURES_A_PAGE, new Layout(Arranged.WALL, null, true, tags == null ? null : tags.key()));
    }
}
