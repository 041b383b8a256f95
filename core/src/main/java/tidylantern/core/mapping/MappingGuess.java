package tidylantern.core.mapping;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.KindGuess;
import tidylantern.core.mapping.Mapping.DateForm;
import tidylantern.core.mapping.Mapping.MappedField;

/**
 * Proposes a mapping from the names of a source's columns and the values of its first records. Everything in it can be
 * corrected; where values disagree, a column is text.
 */
public final class MappingGuess {
    /**
     * What the columns that every collection has are called elsewhere: common practice. Of several, the first that is
     * there wins.
     */
    private static final Map<FieldKey, List<String>> KNOWN = new LinkedHashMap<>();

    private static final List<String> ID_NAMES = List.of(
            "id",
            "identifier",
            "schemaidentifier",
            "guid",
            "uuid",
            "key",
            "slug",
            "sku",
            "ref",
            "reference",
            "number",
            "no");
    private static final List<String> LATITUDES =
            List.of("lat", "latitude", "geolatitude", "schemageolatitude", "geolat", "y");
    private static final List<String> LONGITUDES =
            List.of("lon", "lng", "long", "longitude", "geolongitude", "schemageolongitude", "geolong", "x");
    private static final List<String> POINTS =
            List.of("place", "geometry", "geo", "schemageo", "location", "coordinates", "position");
    private static final List<String> TOWNS =
            List.of("placename", "place", "town", "city", "locality", "schemaaddressaddresslocality");
    private static final Set<String> MONEY_NAMES =
            Set.of("price", "cost", "rent", "fee", "deposit", "fare", "offersprice");
    /** Read as they are, whatever stands in them. */
    private static final Set<String> PROSE = Set.of("title", "summary", "body", "headings");

    private static final Set<String> LIST_NAMES = Set.of("tags", "keywords", "categories", "labels", "topics");
    private static final Pattern WITH_UNIT = Pattern.compile("[-+]?\\d[\\d.,]*\\s*([\\p{L}%°²³/]{1,10})");
    private static final Pattern MONEY = Pattern.compile(
            "[€£$¥₹]\\s*\\d[\\d.,\\s]*|\\d[\\d.,\\s]*\\s*[€£$¥₹]|[A-Z]{3}\\s*\\d[\\d.,\\s]*|\\d[\\d.,\\s]*\\s*[A-Z]{3}");
    private static final Pattern DECIMAL_COMMA = Pattern.compile("[-+]?(\\d{1,3}(\\.\\d{3})*|\\d+),\\d{1,2}(\\D.*)?");
    private static final Pattern POINT = Pattern.compile("-?\\d{1,2}\\.\\d+\\s*[,;]\\s*-?\\d{1,3}\\.\\d+");
    /** {@code size (KiB)}, {@code living area [m²]}. */
    private static final Pattern HEADER_WITH_UNIT = Pattern.compile("(.*\\S)\\s*[(\\[]([^()\\[\\]]{1,20})[)\\]]");

    private static final Pattern PEOPLES_WORDS = Pattern.compile("[\\p{L}\\p{N}].{0,78}[\\s(\\[].*");
    private static final Set<String> STANDARD =
            Set.of("title", "summary", "body", "headings", "url", "image", "published", "author");
    private static final Pattern ISO_DURATION = Pattern.compile("P(?=.)(\\d+D)?(T(\\d+H)?(\\d+M)?(\\d+S)?)?");

    static {
        KNOWN.put(FieldKey.TITLE, List.of("title", "name", "headline", "heading", "schemaname", "schemaheadline"));
        KNOWN.put(
                FieldKey.SUMMARY,
                List.of(
                        "summary",
                        "excerpt",
                        "teaser",
                        "abstract",
                        "description",
                        "shortdescription",
                        "subtitle",
                        "schemadescription"));
        KNOWN.put(
                FieldKey.BODY,
                List.of("body", "content", "text", "fulltext", "article", "encoded", "longdescription", "description"));
        KNOWN.put(FieldKey.ADDRESS, List.of("url", "link", "permalink", "href", "address", "page", "website"));
        KNOWN.put(
                FieldKey.IMAGE,
                List.of("image", "picture", "photo", "imageurl", "thumbnail", "schemaimage", "schemaimageurl"));
        KNOWN.put(
                FieldKey.PUBLISHED,
                List.of(
                        "published",
                        "datepublished",
                        "pubdate",
                        "date",
                        "created",
                        "publicationdate",
                        "schemadatepublished",
                        "schemadatecreated"));
        KNOWN.put(FieldKey.AUTHOR, List.of("author", "by", "creator", "writer", "schemaauthorname"));
    }

    private final Map<String, List<Object>> samples;
    private final @Nullable Collection existing;
    private final Set<String> used = new HashSet<>();
    private final Set<String> properties = new HashSet<>();
    private final List<MappedField> fields = new ArrayList<>();

    private MappingGuess(Map<String, List<Object>> samples, @Nullable Collection existing) {
        this.samples = samples;
        this.existing = existing;
    }

    /**
     * @param samples what the first records say, by column, in the source's order; nothing for empty values
     * @param existing the collection that the items go to, whose fields keep their kinds; null for a new one
     * @return null where no column has any value
     */
    public static @Nullable Mapping of(Map<String, List<Object>> samples, @Nullable Collection existing) {
        return new MappingGuess(samples, existing).guess();
    }

    private @Nullable Mapping guess() {
        String id = idColumn();
        if (id == null) {
            return null;
        }
        if (!simple(id).matches("url|link|permalink|href|address")) {
            used.add(id);
        }
        KNOWN.forEach((key, names) -> {
            String column = named(names);
            if (column != null && !used.contains(column) && fits(key, column)) {
                add(key.value(), column);
            }
        });
        place();
        for (String column : samples.keySet()) {
            if (!used.contains(column) && !samples(column).isEmpty() && !saidAlready(column) && !alike(column)) {
                add(property(column), column);
            }
        }
        return fields.isEmpty() ? null : new Mapping(id, fields);
    }

    /** What kind of page it is, and in which language, matters only where pages differ in it. */
    private boolean alike(String column) {
        return Set.of("schema.type", "language").contains(column)
                && samples(column).size() > 1
                && new HashSet<>(samples(column)).size() == 1;
    }

    /** Pages often say a thing twice: in their text and in their structured data. */
    private boolean saidAlready(String column) {
        return !(samples(column).getFirst() instanceof Boolean)
                && new HashSet<>(samples(column)).size() > 1
                && fields.stream().anyMatch(field -> samples(field.column()).equals(samples(column)));
    }

    /** By its name, else the first column in which no value comes twice; addresses will do. */
    private @Nullable String idColumn() {
        for (String name : ID_NAMES) {
            for (String column : samples.keySet()) {
                if (simple(column).equals(name) && distinct(column)) {
                    return column;
                }
            }
        }
        for (String column : samples.keySet()) {
            if (simple(column).endsWith("id") && distinct(column)) {
                return column;
            }
        }
        String address = named(KNOWN.getOrDefault(FieldKey.ADDRESS, List.of()));
        if (address != null && distinct(address)) {
            return address;
        }
        return samples.keySet().stream()
                .filter(this::distinct)
                .findFirst()
                .orElse(samples.isEmpty() ? null : samples.keySet().iterator().next());
    }

    private boolean distinct(String column) {
        List<Object> values = samples(column);
        return !values.isEmpty()
                && new HashSet<>(values).size() == values.size()
                && values.stream()
                        .noneMatch(value -> value instanceof List || value instanceof Map || value instanceof Boolean)
                && values.size()
                        >= samples.values().stream().mapToInt(List::size).max().orElse(0);
    }

    private boolean fits(FieldKey key, String column) {
        List<String> texts = texts(column);
        if (key.equals(FieldKey.ADDRESS) || key.equals(FieldKey.IMAGE)) {
            return samples(column).stream().allMatch(value -> value instanceof Map || value instanceof List)
                    || (!texts.isEmpty()
                            && texts.stream().allMatch(text -> text.startsWith("/") || text.matches("https?://.*")));
        }
        return !key.equals(FieldKey.PUBLISHED) || dateForm(texts) != null;
    }

    private @Nullable String named(List<String> names) {
        for (String name : names) {
            for (String column : samples.keySet()) {
                if (!used.contains(column)
                        && simple(column).equals(name)
                        && !samples(column).isEmpty()) {
                    return column;
                }
            }
        }
        return null;
    }

    private void place() {
        String latitude = named(LATITUDES);
        String longitude = named(LONGITUDES);
        if (latitude != null
                && longitude != null
                && texts(latitude).stream().allMatch(text -> text.matches("-?\\d+([.,]\\d+)?"))) {
            used.addAll(List.of(latitude, longitude));
            properties.add("place");
            String name = named(TOWNS);
            if (name != null && samples(name).stream().allMatch(String.class::isInstance)) {
                used.add(name);
            }
            fields.add(new MappedField("place", "Place", FieldKind.PLACE, latitude).withPlace(longitude, name));
            return;
        }
        String whole = named(POINTS);
        if (whole != null
                && samples(whole).stream()
                        .allMatch(value -> value instanceof Map<?, ?> map && map.containsKey("lat"))) {
            String name = named(TOWNS);
            add("place", whole);
            if (name != null && samples(name).stream().allMatch(String.class::isInstance)) {
                used.add(name);
                fields.add(fields.removeLast().withPlace(null, name));
            }
        }
    }

    private void add(String wanted, String column) {
        String property = wanted.equals(Mapping.ID) ? "sourceId" : wanted;
        for (int n = 2; !properties.add(property); n++) {
            property = wanted + n;
        }
        used.add(column);
        Field known = existing == null ? null : existing.byProperty().get(property);
        Matcher written = HEADER_WITH_UNIT.matcher(column.strip());
        MappedField guessed = guessed(property, known == null ? label(wanted, column) : known.label(), column);
        if (known == null && written.matches() && guessed.kind() == FieldKind.NUMBER && guessed.unit() == null) {
            guessed = guessed.withUnit(written.group(2))
                    .withLabel(capital(written.group(1).strip()));
        }
        if (known != null && known.kind() != guessed.kind()) {
            // The kind is settled; how the column writes it may still have been recognised.
            guessed = new MappedField(
                    guessed.property(),
                    guessed.label(),
                    known.kind(),
                    column,
                    null,
                    null,
                    null,
                    null,
                    guessed.separator(),
                    guessed.levels(),
                    known.unit(),
                    guessed.dates(),
                    guessed.decimalComma());
        }
        if (guessed.kind() == FieldKind.IMAGE) {
            String alternative = alternativeOf(column);
            if (alternative != null) {
                used.add(alternative);
                guessed = guessed.withAlternative(alternative);
            }
        }
        fields.add(guessed);
    }

    /** The header's own words, where it has some; a name made for machines is written as words. */
    private static String label(String wanted, String column) {
        String header = column.strip();
        return PEOPLES_WORDS.matcher(header).matches() && !STANDARD.contains(wanted)
                ? capital(header)
                : Field.labelFrom(wanted);
    }

    private static String capital(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    private @Nullable String alternativeOf(String image) {
        String name = simple(image);
        return named(List.of(
                name + "alt",
                name + "alternative",
                name + "alttext",
                name + "caption",
                name.replace("url", "") + "caption",
                name.replace("url", "") + "alt",
                "alt",
                "imagealt",
                "imagealternative",
                "alternative",
                "alttext"));
    }

    private MappedField guessed(String property, String label, String column) {
        List<Object> values = samples(column);
        List<String> texts = texts(column);
        boolean allTexts = texts.size()
                == values.stream().filter(value -> !(value instanceof List)).count()
                        + values.stream()
                                .filter(List.class::isInstance)
                                .mapToLong(value -> Loose.parts(value, null).size())
                                .sum();
        boolean lists = values.stream().anyMatch(List.class::isInstance);
        FieldKind first = KindGuess.of(property, values);
        MappedField field = new MappedField(property, label, first, column);
        if (!allTexts
                || (first == FieldKind.TEXT && PROSE.contains(property))
                || first == FieldKind.LINK
                || first == FieldKind.IMAGE) {
            return field;
        }
        DateForm dates = dateForm(texts);
        if (dates != null) {
            return of(field, FieldKind.DATE).withDates(dates);
        }
        if (texts.stream().allMatch(text -> ISO_DURATION.matcher(text).matches())) {
            return of(field, FieldKind.NUMBER).withUnit("min");
        }
        if (texts.stream().allMatch(text -> POINT.matcher(text).matches())) {
            return of(field, FieldKind.PLACE);
        }
        if (!lists
                && texts.stream()
                        .allMatch(text -> Loose.YES.contains(text.toLowerCase(Locale.ROOT))
                                || Loose.NO.contains(text.toLowerCase(Locale.ROOT)))
                && texts.stream().anyMatch(text -> text.matches("(?i)true|false|yes|no|y|n|x"))) {
            return of(field, FieldKind.YES_NO);
        }
        boolean comma = texts.stream().allMatch(text -> text.matches(".*\\d.*"))
                && texts.stream().anyMatch(text -> DECIMAL_COMMA
                        .matcher(text.replaceAll("^[^\\d+-]+", ""))
                        .matches())
                && texts.stream().noneMatch(text -> text.matches(".*\\d\\.\\d{1,2}(\\D.*)?"));
        if (texts.stream().allMatch(text -> MONEY.matcher(text).matches() || plainNumber(text))
                && texts.stream().anyMatch(text -> MONEY.matcher(text).matches() && !plainNumber(text))) {
            return of(field, FieldKind.MONEY).withDecimalComma(comma);
        }
        if (texts.stream().allMatch(MappingGuess::plainNumber)
                && texts.stream().noneMatch(text -> text.matches("0\\d+"))) {
            return of(
                            field,
                            MONEY_NAMES.stream().anyMatch(name -> simple(column).endsWith(name))
                                    ? FieldKind.MONEY
                                    : FieldKind.NUMBER)
                    .withDecimalComma(comma);
        }
        String unit = unit(texts);
        if (unit != null && first != FieldKind.CODE) {
            return of(field, FieldKind.NUMBER).withUnit(unit).withDecimalComma(comma);
        }
        return first == FieldKind.CODE ? field : category(field, texts, lists);
    }

    private static boolean plainNumber(String text) {
        return text.matches("[-+]?\\d[\\d,.]*");
    }

    /** A text in which the same few values come again, perhaps several at once, perhaps as paths of a tree. */
    private static MappedField category(MappedField field, List<String> texts, boolean lists) {
        String separator = null;
        for (String candidate : List.of(";", "|")) {
            if (!lists && separator == null && brief(texts, candidate) && parts(texts, candidate)) {
                separator = candidate;
            }
        }
        if (separator == null
                && !lists
                && LIST_NAMES.contains(simple(field.property()))
                && texts.stream().anyMatch(text -> text.contains(","))
                && brief(texts, ",")) {
            separator = ",";
        }
        List<String> pieces = new ArrayList<>();
        for (String text : texts) {
            Loose.parts(text, separator).forEach(piece -> pieces.add((String) piece));
        }
        String levels = null;
        for (String candidate : List.of(" > ", ">", " › ", "::", "/")) {
            if (levels == null
                    && pieces.stream().noneMatch(KindGuess::isWebAddress)
                    && pieces.stream()
                                            .filter(piece -> piece.contains(candidate))
                                            .count()
                                    * 2
                            > pieces.size()
                    && brief(pieces, candidate)) {
                levels = candidate.strip();
            }
        }
        FieldKind kind = separator != null || levels != null
                ? FieldKind.CATEGORY
                : KindGuess.of(field.property(), lists ? List.of(pieces) : pieces);
        // Bars with spaces around them part sentences too; other separators stand within them.
        String parts = kind == FieldKind.CATEGORY ? separator : barred(texts) ? "|" : null;
        return of(field, kind).splitAt(parts).withLevels(levels);
    }

    /** Whether a sign stands between values: in many cells, or in a few whose parts are values of other cells, too. */
    private static boolean parts(List<String> texts, String sign) {
        List<String> several =
                texts.stream().filter(text -> text.contains(sign)).toList();
        if (several.size() * 4 >= texts.size()) {
            return !several.isEmpty();
        }
        Map<String, Integer> cells = new HashMap<>();
        texts.forEach(text -> piecesOf(text, sign).forEach(piece -> cells.merge(piece, 1, Integer::sum)));
        List<String> pieces =
                several.stream().flatMap(text -> piecesOf(text, sign).stream()).toList();
        return !pieces.isEmpty()
                && pieces.stream()
                                        .filter(piece -> cells.getOrDefault(piece, 0) > 1)
                                        .count()
                                * 2
                        >= pieces.size();
    }

    private static Set<String> piecesOf(String text, String sign) {
        return Arrays.stream(text.split(Pattern.quote(sign)))
                .map(String::strip)
                .filter(piece -> !piece.isEmpty())
                .collect(Collectors.toSet());
    }

    private static boolean barred(List<String> texts) {
        return texts.stream().filter(text -> text.contains(" | ")).count() > 1;
    }

    private static boolean brief(List<String> texts, String separator) {
        return texts.stream()
                .flatMap(text -> List.of(text.split(Pattern.quote(separator))).stream())
                .allMatch(piece -> piece.length() <= 60 && piece.strip().split("\\s+").length <= 6);
    }

    private static MappedField of(MappedField field, FieldKind kind) {
        return new MappedField(field.property(), field.label(), kind, field.column());
    }

    /** The one unit that every value is written with; null if there is none or another. */
    private static @Nullable String unit(List<String> texts) {
        Set<String> units = new LinkedHashSet<>();
        for (String text : texts) {
            Matcher matcher = WITH_UNIT.matcher(text);
            if (!matcher.matches()) {
                return null;
            }
            units.add(matcher.group(1));
        }
        return units.size() == 1 ? units.iterator().next() : null;
    }

    /** The form in which all texts are days, or null. Day first where both would do: most of the world writes it so. */
    private static @Nullable DateForm dateForm(List<String> texts) {
        if (texts.isEmpty()) {
            return null;
        }
        for (DateForm form : DateForm.values()) {
            boolean all = texts.stream().allMatch(text -> {
                try {
                    Loose.day(text, form);
                    return true;
                } catch (IllegalArgumentException otherwise) {
                    return false;
                }
            });
            if (all) {
                return form;
            }
        }
        return null;
    }

    private List<Object> samples(String column) {
        return samples.getOrDefault(column, List.of());
    }

    private List<String> texts(String column) {
        return samples(column).stream()
                .flatMap(value -> Loose.parts(value, null).stream())
                .filter(String.class::isInstance)
                .map(value -> ((String) value).strip())
                .toList();
    }

    private static String simple(String column) {
        return withoutPrefix(column).toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }

    /** Elements of a feed may belong to other vocabularies: {@code isles:island}. */
    private static String withoutPrefix(String column) {
        return column.replaceFirst("^[A-Za-z][A-Za-z0-9_-]*:(?=[A-Za-z])", "");
    }

    /**
     * A column's name as a field's: {@code Price (EUR)} becomes {@code priceEur}, {@code schema.recipeYield}
     * {@code recipeYield}.
     */
    static String property(String column) {
        String name = withoutPrefix(column).replaceFirst("^schema\\.", "");
        if (FieldKey.fits(name)) {
            return name;
        }
        StringBuilder property = new StringBuilder();
        String ascii = java.text.Normalizer.normalize(name, java.text.Normalizer.Form.NFKD)
                .replaceAll("\\p{M}", "")
                .replace("ß", "ss");
        for (String word : ascii.split("[^A-Za-z0-9]+")) {
            if (!word.isEmpty()) {
                property.append(
                        property.isEmpty()
                                ? word.substring(0, 1).toLowerCase(Locale.ROOT) + word.substring(1)
                                : word.substring(0, 1).toUpperCase(Locale.ROOT)
                                        + (word.equals(word.toUpperCase(Locale.ROOT))
                                                ? word.substring(1).toLowerCase(Locale.ROOT)
                                                : word.substring(1)));
            }
        }
        String made = property.toString();
        if (made.isEmpty() || !Character.isLetter(made.charAt(0))) {
            made = "field" + made;
        }
        return made.substring(0, Math.min(made.length(), 64));
    }
}
