package tidylantern.core.query;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemReader;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.content.OwnerMark;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Help;
import tidylantern.core.design.Reach;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Words;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.filter.FilterAnswer;
import tidylantern.core.query.listing.ItemListing;
import tidylantern.core.query.why.Explainer;
import tidylantern.core.query.words.VisitorQuery;
import tidylantern.core.query.words.Whereabouts;

/** A small site for tests of answers: items of the collection "posts" with title, body, tags, code and day. */
public final class SearchFixture implements AutoCloseable {
    public static final Collection POSTS = collection("posts", "en");
    public static final Collection NOTES = collection("notes", "en");
    public static final SiteContent SITE = new SiteContent(List.of(POSTS, NOTES));

    private final SiteIndex index;
    private final List<SiteIndex.Changed> items = new ArrayList<>();

    public SearchFixture(Path folder) {
        try {
            index = SiteIndex.open(folder);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    static Collection collection(String key, String language) {
        return new Collection(
                new CollectionKey(key),
                key.equals("posts") ? "Posts" : "Notes",
                language,
                List.of(
                        field("title", FieldKind.TEXT),
                        field("summary", FieldKind.TEXT),
                        field("body", FieldKind.TEXT),
                        field("tags", FieldKind.CATEGORY),
                        field("code", FieldKind.CODE),
                        field("published", FieldKind.DATE),
                        field("author", FieldKind.TEXT),
                        field("url", FieldKind.LINK),
                        field("price", FieldKind.MONEY),
                        field("kind", FieldKind.CATEGORY),
                        field("size", FieldKind.NUMBER),
                        field("open", FieldKind.YES_NO),
                        field("days", FieldKind.DATE),
                        field("where", FieldKind.PLACE)));
    }

    private static Field field(String key, FieldKind kind) {
        return new Field(new FieldKey(key), kind, key, Field.labelFrom(key));
    }

    public SearchFixture post(String id, String... propertiesAndValues) {
        return item(POSTS, id, propertiesAndValues);
    }

    public SearchFixture item(Collection collection, String id, String... propertiesAndValues) {
        Map<String, Object> properties = new LinkedHashMap<>();
        for (int i = 0; i < propertiesAndValues.length; i += 2) {
            properties.put(propertiesAndValues[i], propertiesAndValues[i + 1]);
        }
        return item(collection, id, properties);
    }

    public SearchFixture item(Collection collection, String id, Map<String, Object> properties) {
        try {
            items.add(new SiteIndex.Changed(
                    new ItemReader(collection).read(new ItemId(id), properties), collection.language()));
        } catch (ItemRefused wrong) {
            throw new IllegalArgumentException(wrong);
        }
        return this;
    }

    /** Marks the item added last. */
    SearchFixture marked(OwnerMark mark) {
        SiteIndex.Changed last = items.removeLast();
        items.add(new SiteIndex.Changed(mark.over(last.item()), last.language(), mark, last.changed()));
        return this;
    }

    /** Keeps an item from being indexed again. */
    void forget(String id) {
        items.removeIf(item -> item.item().ref().id().value().equals(id));
    }

    public SearchFixture indexed() {
        try {
            index.apply(items, List.of(), 1);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
        return this;
    }

    /** Title 5, summary 2, body 1, tags 2, code 8; all words needed, starts of words, typos and stems on. */
    public static SearchDesign design() {
        List<FieldWeight> weights = List.of(
                weight("title", 5), weight("summary", 2), weight("body", 1), weight("tags", 2), weight("code", 8));
        return SearchDesign.firstFor("Test", SITE).withWords(Words.standard().withWeights(weights));
    }

    public static FieldWeight weight(String field, double weight) {
        return new FieldWeight(new FieldKey(field), weight);
    }

    public static SearchDesign searching(String... collections) {
        return design().withReach(new Reach(List.of(collections).stream()
                .map(key -> Reach.Searched.all(new CollectionKey(key)))
                .toList()));
    }

    static SearchDesign strict(Words.WordsNeeded needed, Words.PartOfWord part, boolean typos, boolean stemming) {
        Words words = design().words();
        return design().withWords(new Words(
                words.weights(),
                new Words.Matching(needed, part, new Words.Typos(typos, true), stemming, 2, false),
                words.excerpt(),
                List.of(),
                List.of(),
                Help.usual()));
    }

    Answer answer(SearchDesign design, String query) {
        return engine().answer(CompiledSearch.of(SITE, design), asked(query, 1));
    }

    public SearchEngine engine() {
        return new SearchEngine(index);
    }

    /** What keeps an item from being found. */
    interface Causes {
        List<Explainer.Cause> causes(SearchDesign design);
    }

    Causes explainer(String query, ItemRef item) {
        return design -> {
            try {
                return index.read(state -> new Explainer(
                                state, CompiledSearch.of(SITE, design), asked(query, 1), item, Gazetteer.empty())
                        .causes());
            } catch (IOException failure) {
                throw new UncheckedIOException(failure);
            }
        };
    }

    ItemListing listing() {
        return new ItemListing(index);
    }

    public SiteIndex index() {
        return index;
    }

    List<String> found(SearchDesign design, String query) {
        return answer(design, query).hits().stream()
                .map(hit -> hit.ref().id().value())
                .toList();
    }

    List<String> found(String query) {
        return found(design(), query);
    }

    static String marked(MarkedText text) {
        StringBuilder marked = new StringBuilder();
        text.runs().forEach(run -> marked.append(run.marked() ? "[" + run.text() + "]" : run.text()));
        return marked.toString();
    }

    @Override
    public void close() throws IOException {
        index.close();
    }

    /** What a value on offer is called; one without a name says itself. */
    static String name(FilterAnswer.Offered value) {
        return value.label().isEmpty() ? value.value() : value.label();
    }

    /** What somebody asks on this day, by Greenwich time. */
    public static VisitorQuery asked(String text, int page) {
        return asked(text, page, Map.of());
    }

    /** The same, with filters set. */
    public static VisitorQuery asked(String text, int page, Map<String, List<String>> filters) {
        return asked(text, page, filters, Whereabouts.UNKNOWN);
    }

    /** The same, from somewhere. */
    public static VisitorQuery asked(
            String text, int page, Map<String, List<String>> filters, Whereabouts whereabouts) {
        return asked(text, page, filters, whereabouts, "");
    }

    /** The same, in an order that was chosen. */
    public static VisitorQuery asked(
            String text, int page, Map<String, List<String>> filters, Whereabouts whereabouts, String order) {
        return new VisitorQuery(text, page, filters, whereabouts, order, LocalDate.now(ZoneOffset.UTC));
    }
}
