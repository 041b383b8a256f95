package tidylantern.core.query.words;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.Terms;
import org.apache.lucene.index.TermsEnum;
import org.apache.lucene.search.AutomatonQuery;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.BoostQuery;
import org.apache.lucene.search.ConstantScoreQuery;
import org.apache.lucene.search.PrefixQuery;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.SynonymQuery;
import org.apache.lucene.search.TermInSetQuery;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.FieldWeight;
import tidylantern.core.design.Words;
import tidylantern.core.index.Folding;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.SiteIndex;
import tidylantern.core.index.Stemming;
import tidylantern.core.index.WordForms;
import tidylantern.core.index.WordSigns;
import tidylantern.core.query.compiled.Phrase;

/**
 * One word of a query, and the ways in which it may meet the words of items.
 *
 * <p>What it gives an item is a sum over the searched fields of {@code weight x best way in that field}. The word
 * itself is scored by BM25, by its own rarity; its stems are too, times their {@link Strength}; the weaker ways give
 * {@code strength x idf / (1 + k1)}: what BM25 gives one occurrence in a text of average length, with the rarity of all
 * the words met in that way together. So does a whole name, by the rarity of the word itself.
 */
public final class WordMatch implements Match {
    private static final int FEWEST_INSIDE = 3;
    private static final int MANY_INSIDE = 500;

    private final WordForms.Word word;
    private final Set<String> codes;
    private final Words design;
    private final boolean last;
    private final @Nullable String wholeName;
    private final List<Phrase> synonyms;
    private final WrittenOtherwise otherwise;
    private final Effort effort;
    private boolean typos;
    private boolean cut;
    /** Whether items hold the word with the signs beside it, so that it is not met without them. */
    private boolean signsCount;
    /** Words within reach of a typo that the index holds; filled as queries are made. */
    private final Set<String> typoWords = new HashSet<>();

    /**
     * @param codes forms in which the word, alone or with its neighbours, may be a code
     * @param last whether it is the word being typed
     * @param wholeName the {@linkplain WordForms#wholeName form} of the whole query, as a name of an item may be; null
     *     where none can be
     * @param synonyms what may stand in its place, or in that of a phrase to which it belongs
     * @param otherwise how else it may be written
     * @param effort of the answer that it is read for
     */
    WordMatch(
            WordForms.Word word,
            Set<String> codes,
            Words design,
            boolean last,
            @Nullable String wholeName,
            List<Phrase> synonyms,
            WrittenOtherwise otherwise,
            Effort effort) {
        this.word = word;
        this.codes = codes;
        this.design = design;
        this.last = last;
        this.wholeName = wholeName;
        this.synonyms = synonyms;
        this.otherwise = otherwise;
        this.effort = effort;
    }

    /** Whether a slip may be forgiven in this word at all. */
    boolean bends() {
        return !signsCount && design.typos().editsIn(word.folded()) > 0;
    }

    /** Whether it may be written as two words, or out of pieces, at all. */
    boolean comesApart() {
        return !signsCount && otherwise.comesApart();
    }

    /** Looks for it written apart from now on, if the answer can afford it; what it cannot is told. */
    void allowApart() {
        if (effort.mayTakeApart(word.folded())) {
            otherwise.allowApart();
        } else {
            cut = true;
        }
    }

    /** Finds the items that hold the word with the signs beside it; null where it has none. */
    @Nullable Query withItsSigns() {
        if (word.signed() == null) {
            return null;
        }
        BooleanQuery.Builder any = new BooleanQuery.Builder();
        design.searched().forEach(weight -> any.add(signs(weight.field()), BooleanClause.Occur.SHOULD));
        return any.build();
    }

    /** Lets only words with the same signs count from now on. */
    void countSigns() {
        signsCount = true;
    }

    /** Forgives slips from now on, if the answer can afford it; what it cannot is told. */
    void allowTypos() {
        typos = effort.mayBend(word.folded());
        cut |= !typos;
    }

    @Override
    public boolean cut() {
        return cut;
    }

    @Override
    public String typed() {
        return word.folded();
    }

    @Override
    public String said() {
        return signsCount ? Objects.requireNonNull(word.signed()) : typed();
    }

    /** What an item holds that holds the word just as it is typed, in one of the fields. */
    List<Term> itself() {
        return design.searched().stream()
                .map(weight -> new Term(IndexFields.words(weight.field()), word.folded()))
                .toList();
    }

    /** The same word without slips, synonyms and other ways to write it. */
    public WordMatch asTyped() {
        WordMatch typed =
                new WordMatch(word, codes, design, last, wholeName, List.of(), WrittenOtherwise.never(word), effort);
        typed.signsCount = signsCount;
        return typed;
    }

    /** The words of the index that a slip may lead to, as far as queries were made of it. */
    public Set<String> typoWords() {
        return typoWords;
    }

    /**
     * Whether it is another way to write a word: in another form, or with slips where they are forgiven in this query.
     */
    boolean means(WordForms.Word other) {
        if (word.folded().equals(other.folded()) || !Collections.disjoint(word.stems(), other.stems())) {
            return true;
        }
        return typos
                && (!design.typos().firstLetterFixed()
                        || word.folded().charAt(0) == other.folded().charAt(0))
                && Typos.strength(word.folded(), other.folded(), design.typos().editsIn(word.folded()), false) != null;
    }

    @Override
    public boolean forgivesTypos() {
        return typos;
    }

    /** Scored as the class says. */
    @Override
    public List<InField> inFields(SiteContent content) throws IOException {
        WordLookups lookups = effort.lookups();
        List<InField> fields = new ArrayList<>();
        for (FieldWeight weight : design.searched()) {
            fields.add(new InField(
                    weight.field(),
                    weight.weight(),
                    content.kind(weight.field()) == FieldKind.CODE
                            ? codeWays(weight.field(), lookups)
                            : wordWays(weight.field(), lookups)));
        }
        return fields;
    }

    private List<Way> codeWays(FieldKey field, WordLookups lookups) throws IOException {
        List<Way> ways = new ArrayList<>();
        for (String code : codes) {
            ways.add(new Way(Strength.EXACT, lookups.holding(new Term(IndexFields.codes(field), code))));
        }
        return ways;
    }

    private List<Way> wordWays(FieldKey field, WordLookups lookups) throws IOException {
        String place = IndexFields.words(field);
        Terms terms = lookups.all(place);
        if (terms == null) {
            return List.of();
        }
        List<Way> ways = new ArrayList<>();
        if (signsCount) {
            addSigned(ways, field, lookups, terms);
            addSynonyms(ways, place, lookups, terms);
            return ways;
        }
        Term itself = new Term(place, word.folded());
        // Hardly any query is a name of anything, and a way that nothing is met by would cost every item that is found.
        Term name = wholeName == null ? null : new Term(IndexFields.wholeNames(field), wholeName);
        if (name != null && lookups.documents(name) > 0) {
            ways.add(constant(lookups.holding(name), Strength.WHOLE_NAME, rarity(terms, lookups.documents(itself))));
        }
        ways.add(new Way(Strength.EXACT, lookups.holding(itself)));
        if (design.stemming() && !(word.stems().isEmpty() && word.bareStems().isEmpty())) {
            ways.add(new Way(Strength.STEM, new BoostQuery(stems(place, lookups), Strength.STEM.share())));
        }
        if (design.partOfWord().starts()) {
            Way start = start(word.folded(), place, lookups, terms, Strength.START);
            if (start != null) {
                ways.add(start);
            }
        }
        if (foundInside()) {
            addInside(ways, place, terms);
        }
        otherwise.addWays(ways, field, lookups, terms, word.folded().equals(wholeName));
        if (typos) {
            addTypos(ways, field, terms);
        }
        addSynonyms(ways, place, lookups, terms);
        return ways;
    }

    private void addSynonyms(List<Way> ways, String place, WordLookups lookups, Terms terms) throws IOException {
        for (Phrase synonym : synonyms) {
            long documents = 0;
            for (String form : synonym.rarest()) {
                documents += lookups.documents(new Term(place, form));
            }
            if (documents > 0) {
                ways.add(constant(synonym.query(place), Strength.SYNONYM, rarity(terms, documents)));
            }
        }
    }

    /** The word itself, and the whole name, where the same signs stand beside the word somewhere in the field. */
    private void addSigned(List<Way> ways, FieldKey field, WordLookups lookups, Terms terms) throws IOException {
        Term exact = new Term(IndexFields.words(field), word.folded());
        Query signs = signs(field);
        if (wholeName != null) {
            Query name = new BooleanQuery.Builder()
                    .add(lookups.holding(new Term(IndexFields.wholeNames(field), wholeName)), BooleanClause.Occur.MUST)
                    .add(signs, BooleanClause.Occur.FILTER)
                    .build();
            ways.add(constant(name, Strength.WHOLE_NAME, rarity(terms, lookups.documents(exact))));
        }
        ways.add(new Way(
                Strength.EXACT,
                new BooleanQuery.Builder()
                        .add(lookups.holding(exact), BooleanClause.Occur.MUST)
                        .add(signs, BooleanClause.Occur.FILTER)
                        .build()));
    }

    /** In a word that is still being typed, the last sign may be missing yet. */
    private Query signs(FieldKey field) {
        Term signed = new Term(IndexFields.signed(field), Objects.requireNonNull(word.signed()));
        return startsCount() && !signed.text().endsWith(word.folded())
                ? new PrefixQuery(signed)
                : new TermQuery(signed);
    }

    /** Its stems in all the languages as one word, so that a text of one of them counts the same as another. */
    private Query stems(String place, WordLookups lookups) throws IOException {
        Set<String> stems = new HashSet<>(word.stems());
        stems.addAll(word.bareStems());
        if (stems.size() == 1) {
            return lookups.holding(new Term(place, stems.iterator().next()));
        }
        SynonymQuery.Builder any = new SynonymQuery.Builder(place);
        stems.forEach(stem -> any.addTerm(new Term(place, stem)));
        return any.build();
    }

    /** Where few words hold it they are asked for one by one, which is cheaper than by their pattern. */
    private void addInside(List<Way> ways, String place, Terms terms) throws IOException {
        List<BytesRef> few = new ArrayList<>();
        long documents = 0;
        long all = terms.getDocCount();
        TermsEnum found = terms.intersect(Typos.holding(word.folded()), null);
        for (BytesRef term = found.next();
                term != null && (documents < all || few.size() <= MANY_INSIDE);
                term = found.next()) {
            documents += found.docFreq();
            if (few.size() <= MANY_INSIDE) {
                few.add(BytesRef.deepCopyOf(term));
            }
        }
        if (!few.isEmpty()) {
            Query query = few.size() <= MANY_INSIDE
                    ? new TermInSetQuery(place, few)
                    : new AutomatonQuery(new Term(place, word.folded()), Typos.inside(word.folded()));
            ways.add(constant(query, Strength.INSIDE, rarity(terms, documents)));
        }
    }

    private void addTypos(List<Way> ways, FieldKey field, Terms terms) throws IOException {
        Map<Strength, List<BytesRef>> met = new EnumMap<>(Strength.class);
        Map<Strength, Long> documents = new EnumMap<>(Strength.class);
        String place = IndexFields.words(field);
        for (Effort.Met one :
                effort.met(new Effort.Walk(field, word.folded(), startsCount(), foundInside()), () -> walk(field))) {
            typoWords.add(one.word().utf8ToString());
            met.computeIfAbsent(one.way(), key -> new ArrayList<>()).add(one.word());
            documents.merge(one.way(), (long) one.documents(), Long::sum);
        }
        for (Map.Entry<Strength, List<BytesRef>> way : met.entrySet()) {
            float rarity = rarity(terms, documents.getOrDefault(way.getKey(), 1L));
            ways.add(constant(new TermInSetQuery(place, way.getValue()), way.getKey(), rarity));
            Strength asName = way.getKey() == Strength.TYPO
                    ? Strength.TYPO_NAME
                    : way.getKey() == Strength.FAR_TYPO ? Strength.FAR_TYPO_NAME : null;
            if (asName != null && word.folded().equals(wholeName)) {
                ways.add(constant(new TermInSetQuery(IndexFields.wholeNames(field), way.getValue()), asName, rarity));
            }
        }
    }

    /** The words of a field that this one may be a slip of. */
    private List<Effort.Met> walk(FieldKey field) throws IOException {
        boolean inside = foundInside();
        boolean firstLetterFixed = design.typos().firstLetterFixed();
        String typed = word.folded();
        int edits = design.typos().editsIn(typed);
        Map<BytesRef, Effort.Met> met = new LinkedHashMap<>();
        IndexWords.Visitor visitor = (term, documents) -> {
            String other = term.utf8ToString();
            Strength strength = inside && firstLetterFixed && other.charAt(0) != typed.charAt(0)
                    ? null
                    : Typos.strength(typed, other, edits, startsCount());
            if (strength == null && inside) {
                strength = Typos.insideStrength(typed, other, edits, firstLetterFixed);
            }
            if (strength != null) {
                BytesRef own = BytesRef.deepCopyOf(term);
                met.merge(own, new Effort.Met(own, strength, documents), Effort.Met::and);
            }
        };
        if (inside) {
            effort.words().nearInside(field, typed, edits, visitor);
        } else {
            effort.words().near(field, typed, edits, firstLetterFixed, startsCount(), visitor);
        }
        return List.copyOf(met.values());
    }

    /** The start of a word may be mistyped too while it is being typed. */
    private boolean startsCount() {
        return last && design.partOfWord().starts();
    }

    /** Parts of two letters would be found in every other word. */
    private boolean foundInside() {
        return design.partOfWord() == Words.PartOfWord.INSIDE
                && word.folded().codePointCount(0, word.folded().length()) >= FEWEST_INSIDE;
    }

    static Way constant(Query found, Strength strength, float rarity) {
        return new Way(
                strength,
                new BoostQuery(new ConstantScoreQuery(found), strength.share() * rarity / (1 + SiteIndex.K1)));
    }

    /** BM25's inverse document frequency, ln(1 + (N - n + 0.5) / (n + 0.5)), with n held to N. */
    static float rarity(Terms terms, long documents) throws IOException {
        long all = terms.getDocCount();
        long with = Math.clamp(documents, 1, Math.max(1, all));
        return (float) Math.log(1 + (all - with + 0.5) / (with + 0.5));
    }

    /**
     * The words of a field with the start, as one way to be met. Where they are few they are asked for one by one,
     * which is cheaper than by their pattern; that is so for most words that are typed out.
     */
    static @Nullable Way start(String folded, String place, WordLookups lookups, Terms terms, Strength strength)
            throws IOException {
        WordLookups.Beginning begin = lookups.beginning(new Term(place, folded));
        List<BytesRef> few = begin.few();
        if (few.isEmpty()) {
            return null;
        }
        Query query = few.size() == 1
                ? lookups.holding(new Term(place, few.getFirst()))
                : few.size() <= WordLookups.FEW
                        ? new TermInSetQuery(place, few)
                        : new PrefixQuery(new Term(place, folded));
        return constant(query, strength, rarity(terms, begin.documents()));
    }

    @Override
    public @Nullable Mark mark(Seen seen, Stemming stemming) {
        if (signsCount) {
            return markWithSigns(seen);
        }
        Mark asTyped = markAsTyped(seen, stemming);
        if (asTyped != null) {
            return asTyped;
        }
        Mark other = otherwise.mark(seen, stemming);
        if (other != null) {
            return other;
        }
        boolean slip = typos && typoWords.contains(Folding.fold(seen.lower()));
        boolean synonym = synonyms.stream()
                .anyMatch(one -> one.words().size() == 1 && one.endsAt(List.of(seen.lower()), 0, stemming));
        return slip || synonym ? seen.whole() : null;
    }

    private @Nullable Mark markAsTyped(Seen seen, Stemming stemming) {
        String folded = Folding.fold(seen.lower());
        if (folded.equals(word.folded()) || (design.stemming() && Phrase.sameStem(word, seen.lower(), stemming))) {
            return seen.whole();
        }
        // Where folding changed the length (ß, æ) there is no telling which letters were typed.
        boolean sameLength = folded.length() == seen.length();
        if (design.partOfWord().starts() && folded.startsWith(word.folded())) {
            return new Mark(0, sameLength ? word.folded().length() : seen.length());
        }
        int inside = foundInside() ? folded.indexOf(word.folded()) : -1;
        return inside <= 0 ? null : sameLength ? new Mark(inside, word.folded().length()) : seen.whole();
    }

    private @Nullable Mark markWithSigns(Seen seen) {
        String folded = Folding.fold(seen.lower());
        String signed = WordSigns.with(seen.text(), seen.start(), seen.end(), folded);
        if (signed == null
                || !folded.equals(word.folded())
                || !(signed.equals(word.signed())
                        || (startsCount() && signed.startsWith(Objects.requireNonNull(word.signed()))))) {
            return null;
        }
        int from = WordSigns.before(seen.text(), seen.start());
        return new Mark(from - seen.start(), WordSigns.after(seen.text(), seen.end()) - from);
    }

    @Override
    public List<Phrase> phrases() {
        return Stream.concat(
                        synonyms.stream().filter(synonym -> synonym.words().size() > 1), otherwise.phrases().stream())
                .toList();
    }
}
