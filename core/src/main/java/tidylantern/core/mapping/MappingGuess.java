package tidylantern.core.mapping;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.KindGuess;
import tidylantern.core.mapping.Mapping.MappedField;
import tidylantern.core.place.Gazetteer;

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
            List.of("lat", "latitude", "latitudedeg", "geolatitude", "schemageolatitude", "geolat", "y");
    private static final List<String> LONGITUDES = List.of(
            "lon", "lng", "long", "longitude", "longitudedeg", "geolongitude", "schemageolongitude", "geolong", "x");
    private static final List<String> POINTS =
            List.of("place", "geometry", "geo", "schemageo", "location", "coordinates", "position", "latlng", "latlon");
    private static final List<String> TOWNS =
            List.of("placename", "place", "town", "city", "locality", "schemaaddressaddresslocality");
    /** What a system calls what it counts by; nobody looks for it. */
    private static final Set<String> SYSTEMS_OWN =
            Set.of("id", "identifier", "schemaidentifier", "guid", "uuid", "key", "slug");

    private static final List<String> TITLE_NAMES =
            List.of("title", "name", "headline", "heading", "schemaname", "schemaheadline");
    private static final Set<String> NAME_WORDS =
            Set.of("name", "title", "titel", "titre", "título", "nom", "nombre", "naam");
    private static final List<String> SUMMARY_NAMES = List.of(
            "summary", "excerpt", "teaser", "abstract", "shortdescription", "subtitle", "tagline", "intro", "lead");
    private static final List<String> BODY_NAMES =
            List.of("body", "content", "text", "fulltext", "article", "encoded", "longdescription");
    private static final Set<String> DESCRIPTION_NAMES = Set.of(
            "description", "schemadescription", "about", "details", "beschreibung", "descripción", "beschrijving");
    /** In letters: what is longer on the average is no name. */
    private static final int LONGEST_NAME = 60;

    static {
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
    private final Gazetteer gazetteer;
    private final Set<String> used = new HashSet<>();
    private final Set<String> properties = new HashSet<>();
    private final List<MappedField> fields = new ArrayList<>();
    private final Map<String, FieldKind> kinds = new HashMap<>();
    /** By column, what says anything. */
    private final Map<String, List<Object>> said = new HashMap<>();

    private MappingGuess(Map<String, List<Object>> samples, @Nullable Collection existing, Gazetteer gazetteer) {
        this.samples = samples;
        this.existing = existing;
        this.gazetteer = gazetteer;
    }

    /**
     * @param samples what the first records say, by column, in the source's order; nothing for empty values
     * @param existing the collection that the items go to, whose fields keep their kinds; null for a new one
     * @param gazetteer by whose names items are placed that say no latitude and longitude
     * @return null where no column has any value
     */
    public static @Nullable Mapping of(
            Map<String, List<Object>> samples, @Nullable Collection existing, Gazetteer gazetteer) {
        return new MappingGuess(samples, existing, gazetteer).guess();
    }

    /** Whether a column's name says that it is this field of those that every collection has. */
    static boolean isCalledSo(String property, String column) {
        String name = simple(column);
        return switch (property) {
            case "title" -> TITLE_NAMES.contains(name);
            case "summary" -> SUMMARY_NAMES.contains(name) || DESCRIPTION_NAMES.contains(name);
            case "body" -> BODY_NAMES.contains(name) || DESCRIPTION_NAMES.contains(name);
            default -> true;
        };
    }

    private @Nullable Mapping guess() {
        String id = idColumn();
        if (id == null) {
            return null;
        }
        if (saysNothingElse(id)) {
            used.add(id);
        }
        title();
        prose();
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
        placeByName();
        currencies();
        return fields.isEmpty() ? null : new Mapping(id, fields);
    }

    /** A number that a system gave; what else tells items apart, a code or an address, people look for, too. */
    private static boolean saysNothingElse(String id) {
        return SYSTEMS_OWN.contains(simple(id)) || isCalledId(id);
    }

    /** {@code item_id}, {@code bookingId}; what is {@code paid} only ends so. */
    private static boolean isCalledId(String column) {
        List<String> words = new Header(column).words();
        return !words.isEmpty() && words.getLast().equals("id");
    }

    /** Without a name for it, what items are called is the first short text that hardly recurs. */
    private void title() {
        String known = named(TITLE_NAMES);
        if (known != null) {
            add(FieldKey.TITLE.value(), known);
            return;
        }
        List<String> names = unusedTexts().stream()
                .filter(column -> meanLength(column) <= LONGEST_NAME && hardlyRecurs(column) && !areSentences(column))
                .filter(column -> kindOf(column) == FieldKind.TEXT)
                .toList();
        names.stream()
                .filter(column -> new Header(column).words().stream().anyMatch(NAME_WORDS::contains))
                .findFirst()
                .or(() -> names.stream().findFirst())
                .ifPresent(column -> add(FieldKey.TITLE.value(), column, new Header(column).label(property(column))));
    }

    /** Of several long texts the shorter one sums up, and the longest is the text itself, unless they are called so. */
    private void prose() {
        String summary = named(SUMMARY_NAMES);
        String body = named(BODY_NAMES);
        List<String> others = unusedTexts().stream()
                .filter(column -> !column.equals(summary) && !column.equals(body))
                .filter(column -> DESCRIPTION_NAMES.contains(simple(column))
                        || (meanLength(column) > LONGEST_NAME && hardlyRecurs(column)))
                .filter(column -> kindOf(column) == FieldKind.TEXT && !areAddresses(column))
                .sorted(Comparator.comparingDouble(this::meanLength))
                .toList();
        String shortest = others.isEmpty() ? null : others.getFirst();
        String longest = others.isEmpty() ? null : others.getLast();
        String sum = summary != null
                ? summary
                : shortest != null && (body == null || meanLength(shortest) < meanLength(body)) ? shortest : null;
        String whole = body != null
                ? body
                : longest != null && !longest.equals(sum) && (sum == null || meanLength(longest) > meanLength(sum))
                        ? longest
                        : null;
        if (sum != null) {
            add(FieldKey.SUMMARY.value(), sum);
        }
        if (whole != null) {
            add(FieldKey.BODY.value(), whole);
        }
    }

    private List<String> unusedTexts() {
        return samples.keySet().stream()
                .filter(column -> !used.contains(column) && !samples(column).isEmpty())
                .filter(column -> samples(column).stream().allMatch(String.class::isInstance))
                .toList();
    }

    /** What its values say, whatever it is called. */
    private FieldKind kindOf(String column) {
        return kinds.computeIfAbsent(column, any -> ColumnGuess.of("any", "Any", column, samples(column))
                .kind());
    }

    private double meanLength(String column) {
        return texts(column).stream().mapToInt(String::length).average().orElse(0);
    }

    /** Of which some cannot be followed, so that they are no links. */
    private boolean areAddresses(String column) {
        return texts(column).stream().filter(KindGuess::isWebAddress).count() * 2L
                > samples(column).size();
    }

    private boolean areSentences(String column) {
        return texts(column).stream().filter(text -> text.endsWith(".")).count() * 5L
                > samples(column).size();
    }

    private boolean hardlyRecurs(String column) {
        return new HashSet<>(samples(column)).size() * 10 >= samples(column).size() * 8;
    }

    /** Amounts without a currency have the one that stands beside them. */
    private void currencies() {
        String beside = samples.keySet().stream()
                .filter(column ->
                        !texts(column).isEmpty() && texts(column).stream().allMatch(Loose::isCurrency))
                .findFirst()
                .orElse(null);
        if (beside != null) {
            fields.replaceAll(field ->
                    field.kind() == FieldKind.MONEY && field.currency() == null ? field.withCurrency(beside) : field);
        }
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
            if (isCalledId(column) && distinct(column)) {
                return column;
            }
        }
        String address = named(KNOWN.getOrDefault(FieldKey.ADDRESS, List.of()));
        if (address != null && distinct(address)) {
            return address;
        }
        List<String> different =
                samples.keySet().stream().filter(this::distinct).toList();
        return different.stream()
                .filter(column -> !texts(column).isEmpty() && KindGuess.areCodes(texts(column)))
                .findFirst()
                .or(() -> different.stream().findFirst())
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
                            && Set.of(FieldKind.LINK, FieldKind.IMAGE).contains(kindOf(column)));
        }
        return !key.equals(FieldKey.PUBLISHED) || kindOf(column) == FieldKind.DATE;
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

    /** Where nothing says latitude and longitude, a column of towns does; it stays what else it is, for filters. */
    private void placeByName() {
        if (fields.stream().anyMatch(field -> field.kind() == FieldKind.PLACE)) {
            return;
        }
        samples.keySet().stream()
                .filter(column -> TOWNS.contains(simple(column)))
                .filter(column -> samples(column).stream().allMatch(String.class::isInstance))
                .filter(column -> PlacesByName.known(texts(column), gazetteer).isEnough())
                .findFirst()
                .ifPresent(column -> {
                    String property = properties.add("place") ? "place" : "where";
                    properties.add(property);
                    fields.add(new MappedField(property, "Where", FieldKind.PLACE, column));
                });
    }

    private void add(String wanted, String column) {
        add(wanted, column, new Header(column).label(wanted));
    }

    private void add(String wanted, String column, String called) {
        String property = wanted.equals(Mapping.ID) ? "sourceId" : wanted;
        for (int n = 2; !properties.add(property); n++) {
            property = wanted + n;
        }
        used.add(column);
        Field known = existing == null ? null : existing.byProperty().get(property);
        String label = known == null ? called : known.label();
        MappedField guessed = ColumnGuess.of(property, label, column, samples(column));
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
        if (known != null) {
            guessed = guessed.withLabel(known.label());
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

    private List<Object> samples(String column) {
        return said.computeIfAbsent(column, any -> samples.getOrDefault(column, List.of()).stream()
                .filter(value -> !Loose.empty(value))
                .toList());
    }

    private List<String> texts(String column) {
        return ColumnGuess.texts(samples(column));
    }

    private static String simple(String column) {
        return new Header(column).simple();
    }

    /**
     * A column's name as a field's: {@code Price (EUR)} becomes {@code priceEur}, {@code schema.recipeYield}
     * {@code recipeYield}.
     */
    static String property(String column) {
        String name = Header.withoutVocabulary(column).replaceFirst("^schema\\.", "");
        if (FieldKey.fits(name)) {
            return name;
        }
        StringBuilder property = new StringBuilder();
        String ascii = java.text.Normalizer.normalize(name, java.text.Normalizer.Form.NFKD)
                .replaceAll("\\p{M}", "")
                .replace("ß", "ss");
        for (String word : ascii.split("[^A-Za-z0-9]+")) {
            if (!word.isEmpty()) {
                // Of letters that stand for words, MPAA, one alone would be odd.
                String rest = word.equals(word.toUpperCase(Locale.ROOT))
                        ? word.substring(1).toLowerCase(Locale.ROOT)
                        : word.substring(1);
                String first = word.substring(0, 1);
                property.append(property.isEmpty() ? first.toLowerCase(Locale.ROOT) : first.toUpperCase(Locale.ROOT))
                        .append(rest);
            }
        }
        String made = property.toString();
        if (made.isEmpty() || !Character.isLetter(made.charAt(0))) {
            made = "field" + made;
        }
        return made.substring(0, Math.min(made.length(), 64));
    }
}
