package tidylantern.core.index;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.DoubleField;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.FieldType;
import org.apache.lucene.document.LatLonDocValuesField;
import org.apache.lucene.document.LatLonPoint;
import org.apache.lucene.document.LongField;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.document.SortedDocValuesField;
import org.apache.lucene.document.SortedSetDocValuesField;
import org.apache.lucene.document.StoredField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.DocValuesType;
import org.apache.lucene.index.IndexOptions;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexableField;
import org.apache.lucene.index.StoredFields;
import org.apache.lucene.util.BytesRef;
import org.apache.lucene.util.UnicodeUtil;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemRef;
import tidylantern.core.content.ValueKey;

/** How an item lies in the index: the names of the Lucene fields, and the way there and back. */
public final class IndexFields {
    /** {@code collection/id}; unique, and the last tie of every order. */
    public static final String REF = "ref";

    public static final String COLLECTION = "collection";
    /** The id and the title as {@link #folded}, to be looked for by any part of them. */
    public static final String ID = "id";

    public static final String TITLE = "title";
    /** Milliseconds since 1970 of the last change by the source. */
    public static final String CHANGED = "changed";
    /** Holds {@link #YES} where the item is kept out of every search. */
    public static final String KEPT_OUT = "kept-out";
    /** The address from the site's root; the whole one too where it is absolute. */
    public static final String ADDRESS = "address";
    /** Keys of the names in the field {@code author}, whatever its kind. */
    public static final String AUTHOR = "author";
    /** Bytes in the {@linkplain TitleOrder order of titles}. */
    public static final String TITLE_ORDER = "title-order";
    /** The keys of the fields that have a value. */
    public static final String HAS = "has";

    public static final String YES = "yes";
    public static final String NO = "no";
    /** Between the names of a path in {@link #paths}; no name holds it, since control characters are taken out. */
    public static final char BETWEEN_NAMES = '\u0001';

    private static final String WORDS = "words:";
    private static final String CODES = "codes:";
    private static final String STORED = "stored:";
    private static final int LONGEST_SORT_KEY = 40;
    private static final int LONGEST_TITLE = 300;

    private static final FieldType WORDS_TYPE = new FieldType(TextField.TYPE_NOT_STORED);
    private static final FieldType CODES_TYPE = new FieldType(StringField.TYPE_NOT_STORED);

    static {
        WORDS_TYPE.setIndexOptions(IndexOptions.DOCS_AND_FREQS_AND_POSITIONS);
        WORDS_TYPE.freeze();
        CODES_TYPE.freeze();
    }

    private IndexFields() {}

    /** Where the words of a field lie. */
    public static String words(FieldKey field) {
        return WORDS + field.value();
    }

    /**
     * Where the lines of a text field lie that may be {@linkplain WordForms#wholeName whole names}; not of the body,
     * which is prose.
     */
    public static String wholeNames(FieldKey field) {
        return "names:" + field.value();
    }

    /** Where the words of a field lie that have {@linkplain WordSigns signs}, with them. */
    public static String signed(FieldKey field) {
        return "signed:" + field.value();
    }

    /** Where the codes of a field lie, each {@linkplain Folding#code without case and punctuation}. */
    public static String codes(FieldKey field) {
        return CODES + field.value();
    }

    /**
     * Where the keys of a field's category values lie, each with those above it; of a yes/no field, {@link #YES} or
     * {@link #NO}.
     */
    public static String values(FieldKey field) {
        return "values:" + field.value();
    }

    /**
     * Where the category values of a field lie for counting: the names of a path, {@link #BETWEEN_NAMES} between them.
     */
    public static String paths(FieldKey field) {
        return "paths:" + field.value();
    }

    /** Where the numbers, amounts (points and values, double) or days (since 1970, long) of a field lie. */
    public static String numbers(FieldKey field) {
        return "numbers:" + field.value();
    }

    /** Where the positions of a place field lie (points and values), in degrees to about a centimetre. */
    public static String place(FieldKey field) {
        return "place:" + field.value();
    }

    /** Where the names of a place field lie, as they are written. */
    public static String placeName(FieldKey field) {
        return "place-name:" + field.value();
    }

    /** Where the beginning of a field's text lies, to sort by. */
    public static String sort(FieldKey field) {
        return "sort:" + field.value();
    }

    /** Small letters without accents; at most {@value #LONGEST_TITLE} characters. */
    public static String folded(String text) {
        return Folding.fold(Folding.lower(text.substring(0, Math.min(text.length(), LONGEST_TITLE))));
    }

    /** @throws IllegalArgumentException if a value is longer than the index can hold; it names the field */
    static Document document(SiteIndex.Changed changed, Analyzer analyzer) {
        Document document = unchecked(changed, analyzer);
        document.forEach(IndexFields::mustFit);
        return document;
    }

    /** Said here and not by the writer alone, so that a change can be tried before it is made. */
    private static void mustFit(IndexableField field) {
        boolean oneTerm = field.fieldType().indexOptions() != IndexOptions.NONE
                && !field.fieldType().tokenized();
        boolean ordered = field.fieldType().docValuesType() == DocValuesType.SORTED
                || field.fieldType().docValuesType() == DocValuesType.SORTED_SET;
        if (oneTerm || ordered) {
            BytesRef bytes = field.binaryValue();
            String text = field.stringValue();
            int length = bytes != null
                    ? bytes.length
                    : text == null ? 0 : UnicodeUtil.calcUTF16toUTF8Length(text, 0, text.length());
            if (length > IndexWriter.MAX_TERM_LENGTH) {
                throw new IllegalArgumentException("\"%s\" has a value of %,d bytes; the index holds %,d at most"
                        .formatted(field.name().replaceFirst(".*:", ""), length, IndexWriter.MAX_TERM_LENGTH));
            }
        }
    }

    private static Document unchecked(SiteIndex.Changed changed, Analyzer analyzer) {
        Item item = changed.item();
        Document document = new Document();
        String ref = item.ref().toString();
        document.add(new StringField(REF, ref, Field.Store.YES));
        document.add(new SortedDocValuesField(REF, new BytesRef(ref)));
        document.add(new StringField(COLLECTION, item.ref().collection().value(), Field.Store.YES));
        document.add(new SortedDocValuesField(
                COLLECTION, new BytesRef(item.ref().collection().value())));
        document.add(new StringField(ID, folded(item.ref().id().value()), Field.Store.NO));
        String title = folded(item.title());
        document.add(new StringField(TITLE, title, Field.Store.NO));
        document.add(new SortedDocValuesField(TITLE, new BytesRef(title)));
        document.add(new SortedDocValuesField(
                TITLE_ORDER,
                new BytesRef(TitleOrder.key(
                        item.title().substring(0, Math.min(item.title().length(), LONGEST_TITLE)),
                        changed.language()))));
        document.add(new StoredField(CHANGED, changed.changed().toEpochMilli()));
        document.add(new NumericDocValuesField(CHANGED, changed.changed().toEpochMilli()));
        if (changed.mark().keptOut()) {
            document.add(new StringField(KEPT_OUT, YES, Field.Store.YES));
        }
        addresses(item.address()).forEach(address -> document.add(new StringField(ADDRESS, address, Field.Store.NO)));
        FieldValue author = item.values().get(FieldKey.AUTHOR);
        keys(document, AUTHOR, names(author));
        if (author instanceof FieldValue.Text) {
            // Written as text, names are counted like a flat category's values.
            names(author).forEach(name -> path(document, FieldKey.AUTHOR, name));
        }
        // In the order of the keys, so that one item always makes one document.
        item.values().entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(entry -> {
            add(document, entry.getKey(), entry.getValue());
            if (!entry.getKey().equals(FieldKey.TITLE)) {
                words(document, entry.getKey(), searchableText(entry.getValue()), analyzer, changed.language());
                if (entry.getValue() instanceof FieldValue.Text text
                        && !entry.getKey().equals(FieldKey.BODY)) {
                    wholeNames(document, entry.getKey(), text.text(), changed.language());
                }
            }
        });
        // The owner's keywords count as words of the title.
        words(
                document,
                FieldKey.TITLE,
                item.text(FieldKey.TITLE) + "\n" + changed.mark().keywords(),
                analyzer,
                changed.language());
        wholeNames(
                document,
                FieldKey.TITLE,
                item.text(FieldKey.TITLE) + "\n" + changed.mark().keywords().replace(',', '\n'),
                changed.language());
        return document;
    }

    private static void add(Document document, FieldKey key, FieldValue value) {
        document.add(new StoredField(STORED + key.value(), StoredValue.write(value)));
        document.add(new StringField(HAS, key.value(), Field.Store.NO));
        switch (value) {
            case FieldValue.Categories categories -> {
                keys(document, values(key), categories.paths());
                categories.paths().forEach(path -> path(document, key, path));
                sortKey(
                        document,
                        key,
                        String.join(" ", categories.paths().getFirst().names()));
            }
            case FieldValue.Codes codes -> {
                codes.codes().forEach(code -> document.add(new Field(codes(key), Folding.code(code), CODES_TYPE)));
                sortKey(document, key, codes.codes().getFirst());
            }
            case FieldValue.Numeric number ->
                document.add(new DoubleField(numbers(key), number.number().doubleValue(), Field.Store.NO));
            case FieldValue.Money money ->
                document.add(new DoubleField(numbers(key), money.amount().doubleValue(), Field.Store.NO));
            case FieldValue.Dates dates ->
                dates.days()
                        .forEach(day -> document.add(new LongField(numbers(key), day.toEpochDay(), Field.Store.NO)));
            case FieldValue.YesNo answer -> {
                document.add(new StringField(values(key), answer.yes() ? YES : NO, Field.Store.NO));
                sortKey(document, key, answer.yes() ? YES : NO);
            }
            case FieldValue.Text text -> {
                if (!key.equals(FieldKey.BODY) && !key.equals(FieldKey.HEADINGS)) {
                    sortKey(document, key, text.text());
                }
            }
            case FieldValue.Place place -> {
                document.add(new LatLonDocValuesField(place(key), place.latitude(), place.longitude()));
                document.add(new LatLonPoint(place(key), place.latitude(), place.longitude()));
                if (place.name() != null) {
                    document.add(new SortedDocValuesField(
                            placeName(key),
                            new BytesRef(place.name()
                                    .substring(0, Math.min(place.name().length(), LONGEST_TITLE)))));
                }
                sortKey(document, key, place.name() == null ? "" : place.name());
            }
            case FieldValue.Image image -> sortKey(document, key, image.address());
            case FieldValue.Link link -> sortKey(document, key, link.address());
        }
    }

    /**
     * The values' keys with those above them; and those former keys that differ from them, for addresses and designs of
     * old.
     */
    private static void keys(Document document, String field, List<CategoryPath> paths) {
        Set<String> keys = paths.stream()
                .flatMap(path -> path.keysFromTheTop().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        keys.forEach(key -> document.add(new StringField(field, key, Field.Store.NO)));
        paths.stream()
                .flatMap(path -> path.fromTheTop().stream())
                .map(ValueKey::former)
                .filter(former -> !keys.contains(former))
                .distinct()
                .forEach(former -> document.add(new StringField(former(field), former, Field.Store.NO)));
    }

    /**
     * Where the keys lie that values had before signs counted, as far as they differ; {@code field} is {@link #AUTHOR}
     * or one of {@link #values}.
     */
    public static String former(String field) {
        return "former:" + field;
    }

    private static void words(Document document, FieldKey key, String words, Analyzer analyzer, String language) {
        if (!words.isBlank()) {
            document.add(new Field(words(key), analyzer.tokenStream(words(key), words), WORDS_TYPE));
            WordSigns.wordsOf(words, language).forEach(word -> document.add(new Field(signed(key), word, CODES_TYPE)));
        }
    }

    private static void wholeNames(Document document, FieldKey key, String names, String language) {
        WordForms.wholeNames(names, language)
                .forEach(name -> document.add(new Field(wholeNames(key), name, CODES_TYPE)));
    }

    private static void sortKey(Document document, FieldKey key, String text) {
        document.add(new SortedDocValuesField(
                sort(key), new BytesRef(folded(text.substring(0, Math.min(text.length(), LONGEST_SORT_KEY))))));
    }

    /** An address as rules see it: from the site's root, and whole where it is whole. */
    private static Set<String> addresses(@Nullable String address) {
        if (address == null) {
            return Set.of();
        }
        Set<String> addresses = new HashSet<>(Set.of(address));
        int host = address.indexOf("://");
        if (host > 0) {
            int path = address.indexOf('/', host + 3);
            addresses.add(path < 0 ? "/" : address.substring(path));
        }
        return addresses;
    }

    private static void path(Document document, FieldKey key, CategoryPath path) {
        document.add(new SortedSetDocValuesField(
                paths(key), new BytesRef(String.join(String.valueOf(BETWEEN_NAMES), path.names()))));
    }

    private static List<CategoryPath> names(@Nullable FieldValue value) {
        return switch (value) {
            case FieldValue.Text text ->
                text.text()
                        .lines()
                        .filter(line -> !line.isBlank())
                        .map(line -> new CategoryPath(List.of(line)))
                        .toList();
            case FieldValue.Categories categories -> categories.paths();
            case null -> List.of();
            default -> List.of();
        };
    }

    /** The words of a value that can be searched; empty for kinds that hold none. */
    public static String searchableText(FieldValue value) {
        return switch (value) {
            case FieldValue.Text text -> text.text();
            case FieldValue.Categories categories ->
                categories.paths().stream()
                        .flatMap(path -> path.names().stream())
                        .distinct()
                        .collect(Collectors.joining("\n"));
            case FieldValue.Image image -> image.alternative() == null ? "" : image.alternative();
            case FieldValue.Place place -> place.name() == null ? "" : place.name();
            case FieldValue.Numeric n -> "";
            case FieldValue.Money m -> "";
            case FieldValue.Dates d -> "";
            case FieldValue.YesNo y -> "";
            case FieldValue.Link l -> "";
            case FieldValue.Codes c -> "";
        };
    }

    /** Reads an item back, with no other fields than those wanted. */
    public static Item item(StoredFields stored, int document, Set<FieldKey> wanted) throws IOException {
        return row(stored, document, wanted).item();
    }

    /** An item with what is known about it beside its values. */
    public record Row(Item item, boolean keptOut, long changed) {}

    /** Like {@link #item}, with the owner's mark and the time of the last change, in milliseconds since 1970. */
    public static Row row(StoredFields stored, int document, Set<FieldKey> wanted) throws IOException {
        Set<String> names = wanted.stream().map(key -> STORED + key.value()).collect(Collectors.toSet());
        names.addAll(List.of(REF, KEPT_OUT, CHANGED));
        Document found = stored.document(document, names);
        Map<FieldKey, FieldValue> values = new HashMap<>();
        for (IndexableField field : new ArrayList<>(found.getFields())) {
            if (field.name().startsWith(STORED)) {
                values.put(
                        new FieldKey(field.name().substring(STORED.length())), StoredValue.read(field.stringValue()));
            }
        }
        Item item = new Item(ItemRef.parse(found.get(REF)), values);
        return new Row(
                item,
                found.get(KEPT_OUT) != null,
                found.getField(CHANGED).numericValue().longValue());
    }
}
