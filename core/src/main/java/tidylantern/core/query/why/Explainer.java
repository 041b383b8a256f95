package tidylantern.core.query.why;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.apache.lucene.search.BooleanClause.Occur;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.Query;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Pin;
import tidylantern.core.design.Reach;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.design.Words;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.IndexState;
import tidylantern.core.index.Stemming;
import tidylantern.core.index.WordForms;
import tidylantern.core.place.Gazetteer;
import tidylantern.core.query.compiled.CompiledSearch;
import tidylantern.core.query.compiled.ReachQuery;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.filter.QueryFilter;
import tidylantern.core.query.order.Ordering;
import tidylantern.core.query.order.PlacesInResults;
import tidylantern.core.query.why.Explanation.Cure;
import tidylantern.core.query.why.Explanation.FieldPart;
import tidylantern.core.query.why.Explanation.Kind;
import tidylantern.core.query.why.Explanation.Leaving;
import tidylantern.core.query.why.Explanation.Reason;
import tidylantern.core.query.why.Explanation.Remedy;
import tidylantern.core.query.why.Explanation.WordPart;
import tidylantern.core.query.words.Match;
import tidylantern.core.query.words.ReadQuery;
import tidylantern.core.query.words.Strength;
import tidylantern.core.query.words.VisitorQuery;

/**
 * Tells why a query finds one item, or does not. Everything is asked of the very queries that answer visitors, one item
 * at a time; nothing is reckoned a second time by other rules.
 */
public final class Explainer {
    private static final int MOST_MET = 5;
    private static final int MOST_WORDS_IN_SYNONYM = 6;

    private final IndexState state;
    private final IndexSearcher searcher;
    private final CompiledSearch search;
    private final SiteContent content;
    private final VisitorQuery query;
    private final ItemRef ref;
    private final Gazetteer gazetteer;
    private final PlacesInResults places;

    /** @param ref of the item that it is asked about */
    public Explainer(IndexState state, CompiledSearch search, VisitorQuery query, ItemRef ref, Gazetteer gazetteer) {
        this.state = state;
        this.searcher = state.searcher();
        this.search = search;
        this.content = search.content();
        this.query = query;
        this.ref = ref;
        this.gazetteer = gazetteer;
        this.places = new PlacesInResults(searcher);
    }

    /** A reason with the changes that take it away, still to be applied. */
    public record Cause(
            Kind kind,
            List<String> words,
            List<FieldKey> fields,
            @Nullable ReachRule rule,
            List<Fix> fixes) {}

    public record Fix(Cure cure, @Nullable FieldKey field, UnaryOperator<SearchDesign> change) {}

    /** Why the query finds the item where it does, or why it does not. */
    public Explanation explain() throws IOException {
        SearchDesign design = search.design();
        NarrowedQuery asked = NarrowedQuery.of(state, search, query, gazetteer);
        ReadQuery read = asked.read();
        int total = asked.total();
        int document = places.document(ref);
        if (document < 0) {
            return notThere(read, total);
        }
        Item item = IndexFields.item(searcher.storedFields(), document, fieldKeys());
        Ordering ordering = Ordering.of(asked);
        Integer place = places.place(asked.found(), ordering, ref);
        double score = place == null || read.startingList()
                ? 0
                : Objects.requireNonNullElse(places.score(read.lucene(), document), 0f);
        List<WordPart> words = read.startingList() ? List.of() : words(read, item, document);
        List<Reason> reasons = new ArrayList<>();
        List<Leaving> leavings = List.of();
        if (place == null) {
            for (Cause cause : causes(design, asked, item, document)) {
                reasons.add(reason(cause, design));
            }
        } else {
            leavings = leavings(item);
        }
        return new Explanation(
                ref,
                item.title(),
                read.startingList(),
                total,
                place,
                place == null ? null : (place - 1) / design.page().perPage() + 1,
                score,
                words,
                place == null
                        ? null
                        : ordering.standing(new FieldDoc(document, 0), null, ordering.takesTurns(document)),
                reasons,
                leavings);
    }

    private Explanation notThere(ReadQuery read, int total) {
        return new Explanation(
                ref,
                ref.id().value(),
                read.startingList(),
                total,
                null,
                null,
                0,
                List.of(),
                null,
                List.of(new Reason(Kind.NOT_THERE, List.of(), List.of(), null, List.of())),
                List.of());
    }

    /** A cause with what each of its remedies would come to. */
    private Reason reason(Cause cause, SearchDesign design) throws IOException {
        List<Remedy> remedies = new ArrayList<>();
        for (Fix fix : cause.fixes()) {
            SearchDesign after = fix.change().apply(design);
            NarrowedQuery then = NarrowedQuery.of(state, search.with(after), query, gazetteer);
            Integer place = places.place(then.found(), Ordering.of(then), ref);
            remedies.add(new Remedy(fix.cure(), fix.field(), after, then.total(), place));
        }
        return new Reason(cause.kind(), cause.words(), cause.fields(), cause.rule(), remedies);
    }

    /** What keeps the item from being found under a design; empty if nothing does. */
    public List<Cause> causes() throws IOException {
        int document = places.document(ref);
        if (document < 0) {
            return List.of(new Cause(Kind.NOT_THERE, List.of(), List.of(), null, List.of()));
        }
        return causes(
                search.design(),
                NarrowedQuery.of(state, search, query, gazetteer),
                IndexFields.item(searcher.storedFields(), document, fieldKeys()),
                document);
    }

    private Set<FieldKey> fieldKeys() {
        Set<FieldKey> keys = new HashSet<>();
        content.collections().forEach(collection -> collection.fields().forEach(field -> keys.add(field.key())));
        return keys;
    }

    private boolean finds(Query asked, int document) throws IOException {
        return places.score(asked, document) != null;
    }

    // A hit

    private List<WordPart> words(ReadQuery read, Item item, int document) throws IOException {
        Stemming stemming = new Stemming(language(item));
        List<WordPart> words = new ArrayList<>();
        for (Match match : read.matches()) {
            List<FieldPart> fields = new ArrayList<>();
            for (Match.InField in : match.inFields(content)) {
                Strength best = null;
                float most = 0;
                for (Match.Way way : in.ways()) {
                    Float gives = places.score(way.query(), document);
                    if (gives != null && (best == null || gives > most)) {
                        best = way.way();
                        most = gives;
                    }
                }
                if (best != null) {
                    fields.add(new FieldPart(
                            in.field(),
                            in.weight(),
                            best,
                            met(match, item.values().get(in.field()), stemming),
                            in.weight() * most));
                }
            }
            fields.sort(Comparator.comparingDouble(FieldPart::gives).reversed());
            words.add(new WordPart(
                    match.said(),
                    match.forgivesTypos(),
                    match.cut(),
                    fields.stream().mapToDouble(FieldPart::gives).sum(),
                    fields));
        }
        return words;
    }

    private static List<String> met(Match match, @Nullable FieldValue value, Stemming stemming) {
        Set<String> met = new LinkedHashSet<>();
        if (value instanceof FieldValue.Codes codes) {
            met.addAll(codes.codes());
        } else if (value != null) {
            String text = IndexFields.searchableText(value);
            List<String> words = new ArrayList<>();
            List<Integer> starts = new ArrayList<>();
            WordForms.each(text, (lower, start, end) -> {
                words.add(lower);
                starts.add(start);
                match.phrases().stream()
                        .filter(one -> one.endsAt(words, words.size() - 1, stemming))
                        .forEach(one -> met.add(text.substring(
                                starts.get(words.size() - one.words().size()), end)));
                if (match.mark(new Match.Seen(text, start, end, lower), stemming) != null) {
                    met.add(text.substring(start, end));
                }
                return met.size() < MOST_MET;
            });
        }
        return List.copyOf(met);
    }

    private String language(Item item) {
        Collection collection = content.collection(item.ref().collection());
        return collection == null ? "und" : collection.language();
    }

    private List<Leaving> leavings(Item item) throws IOException {
        Map<ReachRule, String> rules = new LinkedHashMap<>();
        rules.put(ReachRule.item(item.ref().id()), item.title());
        item.values().forEach((key, value) -> {
            if (value instanceof FieldValue.Categories categories) {
                categories.paths().stream()
                        .flatMap(path -> path.fromTheTop().stream().sorted(Comparator.comparing(above -> -above.names()
                                .size())))
                        .forEach(path -> rules.putIfAbsent(
                                key.equals(FieldKey.AUTHOR)
                                        ? ReachRule.author(path.key())
                                        : ReachRule.category(key, path.key()),
                                String.join(" › ", path.names())));
            } else if (key.equals(FieldKey.AUTHOR) && value instanceof FieldValue.Text text) {
                text.text()
                        .lines()
                        .filter(line -> !line.isBlank())
                        .forEach(line -> rules.putIfAbsent(ReachRule.author(line), line.strip()));
            }
        });
        List<Leaving> leavings = new ArrayList<>();
        for (Map.Entry<ReachRule, String> rule : rules.entrySet()) {
            leavings.add(new Leaving(
                    rule.getKey(),
                    rule.getValue(),
                    searcher.count(new BooleanQuery.Builder()
                            .add(search.reach(), Occur.FILTER)
                            .add(ReachQuery.rule(rule.getKey(), item.ref().collection()), Occur.FILTER)
                            .build())));
        }
        return leavings;
    }

    // A miss

    private List<Cause> causes(SearchDesign design, NarrowedQuery asked, Item item, int document) throws IOException {
        List<Cause> causes = new ArrayList<>();
        reach(causes, design.reach(), document);
        SearchDesign inReach = design;
        for (Cause cause : causes) {
            for (Fix fix : cause.fixes()) {
                inReach = fix.change().apply(inReach);
            }
        }
        // Whether slips are forgiven hangs on what is in reach, so words are looked at as if the item were.
        ReadQuery then = inReach.equals(design) ? asked.read() : ReadQuery.readOnce(query, search.with(inReach), state);
        if (!then.startingList()) {
            if (then.parts().isEmpty()) {
                if (!finds(then.asked(), document)) {
                    causes.add(new Cause(
                            Kind.OPERATORS,
                            List.of(),
                            List.of(),
                            null,
                            List.of(new Fix(
                                    Cure.NO_OPERATORS,
                                    null,
                                    now -> now.withWords(now.words().withOperators(false))))));
                }
            } else {
                words(causes, inReach, then, item, document);
            }
        }
        if (asked.read().pins().takenOut().contains(ref)) {
            causes.add(new Cause(
                    Kind.TAKEN_OUT,
                    List.of(),
                    List.of(),
                    null,
                    List.of(new Fix(Cure.DROP_PIN, null, this::withoutTakingOut))));
        }
        for (QueryFilter one : asked.narrowing().filters()) {
            Query passed = one.passed();
            if (passed != null && !finds(passed, document)) {
                // The visitor's own choice, which no decision of the owner's takes back.
                causes.add(new Cause(Kind.FILTERED, one.said(), one.filter().fields(), null, List.of()));
            }
        }
        return causes;
    }

    /** Every pin that takes the item out does so no more, for whatever query. */
    private SearchDesign withoutTakingOut(SearchDesign design) {
        return design.withPins(design.pins().stream()
                .filter(pin -> !pin.put().isEmpty() || !pin.takeOut().equals(List.of(ref)))
                .map(pin -> new Pin(
                        pin.queries(),
                        pin.put(),
                        pin.takeOut().stream().filter(item -> !item.equals(ref)).toList(),
                        pin.until()))
                .toList());
    }

    private void reach(List<Cause> causes, Reach reach, int document) throws IOException {
        if (finds(ReachQuery.keptOut(), document)) {
            causes.add(new Cause(Kind.KEPT_OUT, List.of(), List.of(), null, List.of()));
        }
        Reach.Searched searched = reach.collections().stream()
                .filter(one -> one.collection().equals(ref.collection()))
                .findFirst()
                .orElse(null);
        if (searched == null) {
            causes.add(new Cause(
                    Kind.COLLECTION_NOT_SEARCHED,
                    List.of(),
                    List.of(),
                    null,
                    List.of(new Fix(
                            Cure.SEARCH_COLLECTION,
                            null,
                            now -> searched(now, Reach.Searched.all(ref.collection()))))));
            return;
        }
        for (ReachRule rule : searched.leaveOut()) {
            if (finds(ReachQuery.rule(rule, ref.collection()), document)) {
                causes.add(new Cause(Kind.LEFT_OUT, List.of(), List.of(), rule, List.of(droppingLeaveOut(rule))));
            }
        }
        Map<String, List<ReachRule>> alternatives = new LinkedHashMap<>();
        searched.only().forEach(rule -> alternatives
                .computeIfAbsent(rule.looksAt(), key -> new ArrayList<>())
                .add(rule));
        for (List<ReachRule> only : alternatives.values()) {
            boolean passes = false;
            for (ReachRule rule : only) {
                passes |= finds(ReachQuery.rule(rule, ref.collection()), document);
            }
            if (!passes) {
                causes.add(
                        new Cause(Kind.NOT_LET_IN, List.of(), List.of(), only.getFirst(), List.of(droppingOnly(only))));
            }
        }
    }

    private Fix droppingLeaveOut(ReachRule rule) {
        UnaryOperator<Reach.Searched> change = one -> new Reach.Searched(
                one.collection(),
                one.only(),
                one.leaveOut().stream().filter(other -> !other.equals(rule)).toList(),
                one.sign());
        return new Fix(Cure.DROP_RULE, null, design -> rules(design, change));
    }

    private Fix droppingOnly(List<ReachRule> rules) {
        UnaryOperator<Reach.Searched> change = one -> new Reach.Searched(
                one.collection(),
                one.only().stream().filter(other -> !rules.contains(other)).toList(),
                one.leaveOut(),
                one.sign());
        return new Fix(Cure.DROP_ONLY_RULES, null, design -> rules(design, change));
    }

    private SearchDesign rules(SearchDesign design, UnaryOperator<Reach.Searched> change) {
        return design.withReach(new Reach(design.reach().collections().stream()
                .map(one -> one.collection().equals(ref.collection()) ? change.apply(one) : one)
                .toList()));
    }

    private static SearchDesign searched(SearchDesign design, Reach.Searched more) {
        List<Reach.Searched> all = new ArrayList<>(design.reach().collections());
        if (all.stream().noneMatch(one -> one.collection().equals(more.collection()))) {
            all.add(more);
        }
        return design.withReach(new Reach(all));
    }

    private void words(List<Cause> causes, SearchDesign design, ReadQuery read, Item item, int document)
            throws IOException {
        List<ReadQuery.Part> missing = new ArrayList<>();
        for (ReadQuery.Part part : read.parts()) {
            if (!finds(part.query(), document)) {
                missing.add(part);
            }
        }
        int all = read.parts().size();
        int needed = design.words().needed().of(all);
        if (all - missing.size() >= needed) {
            return;
        }
        if (needed < all) {
            // Which of the missing words would do is anybody's choice, so they are one reason together.
            List<Fix> fixes = new ArrayList<>();
            if (design.words().needed() != Words.WordsNeeded.ANY && missing.size() < all) {
                fixes.add(new Fix(
                        Cure.NEED_FEWER_WORDS,
                        null,
                        now -> now.withWords(now.words().withNeeded(Words.WordsNeeded.ANY))));
            }
            for (ReadQuery.Part part : missing) {
                fixes.addAll(fixes(design, part.match().typed(), item, document).values().stream()
                        .flatMap(List::stream)
                        .toList());
            }
            causes.add(new Cause(
                    Kind.TOO_FEW_WORDS,
                    missing.stream().map(part -> part.match().typed()).toList(),
                    List.of(),
                    null,
                    fixes));
            return;
        }
        for (ReadQuery.Part part : missing) {
            String word = part.match().typed();
            Map<Kind, List<Fix>> fixes = fixes(design, word, item, document);
            Kind kind = fixes.containsKey(Kind.FIELD_NOT_SEARCHED)
                    ? Kind.FIELD_NOT_SEARCHED
                    : fixes.containsKey(Kind.TOO_STRICT) ? Kind.TOO_STRICT : Kind.WORD_NOWHERE;
            causes.add(new Cause(
                    kind,
                    List.of(word),
                    fixes.getOrDefault(Kind.FIELD_NOT_SEARCHED, List.of()).stream()
                            .map(Fix::field)
                            .filter(Objects::nonNull)
                            .toList(),
                    null,
                    fixes.values().stream().flatMap(List::stream).toList()));
        }
    }

    /** Changes under which the item holds the word, by what they say of the reason; the likeliest first. */
    private Map<Kind, List<Fix>> fixes(SearchDesign design, String word, Item item, int document) throws IOException {
        List<Candidate> candidates = new ArrayList<>(unsearchedFields(design, item));
        strictness(design.words()).forEach(fix -> candidates.add(new Candidate(Kind.TOO_STRICT, fix)));
        synonymOfTitle(word, item).ifPresent(fix -> candidates.add(new Candidate(Kind.WORD_NOWHERE, fix)));
        Map<Kind, List<Fix>> fixes = new LinkedHashMap<>();
        for (Candidate candidate : candidates) {
            SearchDesign after = candidate.fix().change().apply(design);
            ReadQuery then = ReadQuery.readOnce(query, search.with(after), state);
            for (ReadQuery.Part part : then.parts()) {
                if (part.match().typed().equals(word) && finds(part.query(), document)) {
                    fixes.computeIfAbsent(candidate.kind(), kind -> new ArrayList<>())
                            .add(candidate.fix());
                }
            }
        }
        return fixes;
    }

    private record Candidate(Kind kind, Fix fix) {}

    private List<Candidate> unsearchedFields(SearchDesign design, Item item) {
        Collection collection = content.collection(item.ref().collection());
        List<Field> fields = collection == null ? List.of() : collection.fields();
        return fields.stream()
                .filter(field -> DesignChecks.searchable(field.kind())
                        && item.values().containsKey(field.key())
                        && design.words().searched().stream()
                                .noneMatch(weight -> weight.field().equals(field.key())))
                .map(field -> new Candidate(
                        Kind.FIELD_NOT_SEARCHED,
                        fix(
                                Cure.SEARCH_FIELD,
                                field.key(),
                                words -> words.withWeights(searching(words.weights(), field.key())))))
                .toList();
    }

    private static List<Fix> strictness(Words words) {
        List<Fix> fixes = new ArrayList<>();
        if (!words.stemming()) {
            fixes.add(fix(Cure.FIND_OTHER_FORMS, null, now -> now.withStemming(true)));
        }
        if (words.partOfWord() == Words.PartOfWord.WHOLE) {
            fixes.add(fix(Cure.MATCH_STARTS, null, now -> now.withPartOfWord(Words.PartOfWord.START)));
        }
        if (!words.typos().allowed()) {
            fixes.add(fix(
                    Cure.ALLOW_TYPOS,
                    null,
                    now -> now.withTypos(new Words.Typos(true, now.typos().firstLetterFixed()))));
        }
        if (words.typos().firstLetterFixed()) {
            fixes.add(fix(Cure.FREE_FIRST_LETTER, null, now -> now.withTypos(new Words.Typos(true, false))));
        }
        if (words.partOfWord() != Words.PartOfWord.INSIDE) {
            fixes.add(fix(Cure.MATCH_INSIDE, null, now -> now.withPartOfWord(Words.PartOfWord.INSIDE)));
        }
        return fixes;
    }

    /** The word as another one for the first words of the item's title. */
    private static Optional<Fix> synonymOfTitle(String word, Item item) {
        List<String> title = new ArrayList<>();
        WordForms.each(item.title(), (lower, start, end) -> {
            title.add(lower);
            return title.size() < MOST_WORDS_IN_SYNONYM;
        });
        if (title.isEmpty()) {
            return Optional.empty();
        }
        Synonym synonym = Synonym.oneWay(word, String.join(" ", title));
        return Optional.of(fix(Cure.ADD_SYNONYM, null, now -> {
            List<Synonym> more = new ArrayList<>(now.synonyms());
            more.add(synonym);
            return now.withSynonyms(more.stream().distinct().toList());
        }));
    }

    private static Fix fix(Cure cure, @Nullable FieldKey field, UnaryOperator<Words> change) {
        return new Fix(cure, field, design -> design.withWords(change.apply(design.words())));
    }

    private static List<FieldWeight> searching(List<FieldWeight> weights, FieldKey field) {
        List<FieldWeight> changed = new ArrayList<>(
                weights.stream().filter(weight -> !weight.field().equals(field)).toList());
        changed.add(new FieldWeight(field, 1));
        return changed;
    }
}
