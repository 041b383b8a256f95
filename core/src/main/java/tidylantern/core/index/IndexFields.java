package tidylantern.core.index;

import java.io.IOException;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.FieldType;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.document.SortedDocValuesField;
import org.apache.lucene.document.StoredField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.IndexOptions;
import org.apache.lucene.index.IndexableField;
import org.apache.lucene.index.StoredFields;
import org.apache.lucene.util.BytesRef;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRef;

/** How an item lies in the index: the names of the Lucene fields, and the way there and back. */
public final class IndexFields {
    /** {@code collection/id}; unique, and the last tie of every order. */
    public static final String REF = "ref";
    public static final String COLLECTION = "collection";
    /** Day of publication, as days since 1970; for 'newest'. */
    public static final String NEWEST = "newest";
    private static final String WORDS = "words:";
    private static final String CODES = "codes:";
    private static final String STORED = "stored:";
    private static final FieldKey PUBLISHED = new FieldKey("published");

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

    /** Where the codes of a field lie, each {@linkplain Folding#code without case and punctuation}. */
    public static String codes(FieldKey field) {
        return CODES + field.value();
    }

    static Document document(Item item, Analyzer analyzer) {
        Document document = new Document();
        String ref = item.ref().toString();
        document.add(new StringField(REF, ref, Field.Store.YES));
        document.add(new SortedDocValuesField(REF, new BytesRef(ref)));
        document.add(new StringField(COLLECTION, item.ref().collection().value(), Field.Store.YES));
        document.add(new SortedDocValuesField(COLLECTION, new BytesRef(item.ref().collection().value())));
        if (item.values().get(PUBLISHED) instanceof FieldValue.Dates dates) {
            document.add(new NumericDocValuesField(NEWEST, dates.days().getLast().toEpochDay()));
        }
        // In the order of the keys, so that one item always makes one document.
        item.values().entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(entry -> {
            FieldKey key = entry.getKey();
            document.add(new StoredField(STORED + key.value(), StoredValue.write(entry.getValue())));
            if (entry.getValue() instanceof FieldValue.Codes codes) {
                codes.codes().forEach(code -> document.add(new Field(codes(key), Folding.code(code), CODES_TYPE)));
            }
            String words = searchableText(entry.getValue());
            if (!words.isBlank()) {
                document.add(new Field(words(key), analyzer.tokenStream(words(key), words), WORDS_TYPE));
            }
        });
        return document;
    }

    /** The words of a value that can be searched; empty for kinds that hold none. */
    public static String searchableText(FieldValue value) {
        return switch (value) {
            case FieldValue.Text text -> text.text();
            case FieldValue.Categories categories -> categories.paths().stream()
                    .flatMap(path -> path.names().stream()).distinct().collect(Collectors.joining("\n"));
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
        Set<String> names = wanted.stream().map(key -> STORED + key.value()).collect(Collectors.toSet());
        names.add(REF);
        names.add(COLLECTION);
        Document found = stored.document(document, names);
        CollectionKey collection = new CollectionKey(found.get(COLLECTION));
        String id = found.get(REF).substring(collection.value().length() + 1);
        Map<FieldKey, FieldValue> values = new java.util.HashMap<>();
        for (IndexableField field : found.getFields()) {
            if (field.name().startsWith(STORED)) {
                values.put(new FieldKey(field.name().substring(STORED.length())), StoredValue.read(field.stringValue()));
            }
        }
        return new Item(new ItemRef(collection, new ItemId(id)), values);
    }
}
