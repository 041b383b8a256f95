package tidylantern.core.mapping;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CategoryPath;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.ItemId;
import tidylantern.core.content.ItemRefused;
import tidylantern.core.content.Require;
import tidylantern.core.mapping.Mapping.MappedField;
import tidylantern.core.place.Gazetteer;

/**
 * Makes the properties of an item from a record of a source. What comes out is in the one form that items are kept in,
 * so that the same item says the same whichever source brings it: days as 2026-05-31, trees with slashes, numbers as
 * numbers, addresses of the site itself from its root.
 */
public final class Mapper {
    private static final Pattern WITHOUT_SCHEME =
            Pattern.compile("(?i)www\\.\\S+|[a-z0-9-]+(\\.[a-z0-9-]+)*\\.[a-z]{2,10}/\\S*");
    private static final Pattern SCHEME = Pattern.compile("[A-Za-z][A-Za-z0-9+.-]*:.*");

    /** More than anybody looks through. */
    private static final int MOST_UNPLACED = 1_000;

    private final Mapping mapping;
    private final String site;
    private final Gazetteer places;
    private final Set<String> unplaced = new LinkedHashSet<>();

    /**
     * @param site address of the site, without a slash at its end; empty where none is known
     * @param places by whose names items are placed that say no latitude and longitude
     */
    public Mapper(Mapping mapping, String site, Gazetteer places) {
        this.mapping = mapping;
        this.site = site;
        this.places = places;
    }

    /** Names of places that nobody knows, in the order in which they came; items that say one have no place. */
    public List<String> unplaced() {
        return List.copyOf(unplaced);
    }

    /** @param properties one entry a mapped field; null where the record says nothing of it */
    public record Mapped(ItemId id, Map<String, @Nullable Object> properties) {}

    /**
     * @param columns as the source gives them: texts, numbers, booleans, maps and lists of these
     * @throws ItemRefused naming the column, if a value cannot be read or there is no id
     */
    public Mapped map(Map<String, ? extends @Nullable Object> columns) throws ItemRefused {
        Object id = columns.get(mapping.idColumn());
        if (Loose.empty(id)) {
            throw new ItemRefused(
                    mapping.idColumn(), "there is nothing in the id column \"%s\"".formatted(mapping.idColumn()));
        }
        Map<String, @Nullable Object> properties = new LinkedHashMap<>();
        for (MappedField field : mapping.fields()) {
            try {
                properties.put(field.property(), value(field, columns));
            } catch (IllegalArgumentException wrong) {
                throw new ItemRefused(
                        field.column(),
                        "the column \"%s\" is to be of kind %s: %s"
                                .formatted(field.column(), field.kind(), wrong.getMessage()));
            }
        }
        try {
            return new Mapped(new ItemId(fromRoot(Loose.text(id).strip())), properties);
        } catch (IllegalArgumentException wrong) {
            throw new ItemRefused(mapping.idColumn(), String.valueOf(wrong.getMessage()));
        }
    }

    private @Nullable Object value(MappedField field, Map<String, ? extends @Nullable Object> columns) {
        Object loose = columns.get(field.column());
        if (Loose.empty(loose)) {
            return null;
        }
        Object given = Objects.requireNonNull(loose);
        if (field.kind() != FieldKind.TEXT
                && field.kind() != FieldKind.CATEGORY
                && field.kind() != FieldKind.CODE
                && !(field.kind() == FieldKind.YES_NO && Loose.NO.contains(given))
                && Loose.saysNothing(given)) {
            return null;
        }
        return switch (field.kind()) {
            case TEXT, CODE -> oneOrMany(given, field, Loose::text);
            case CATEGORY -> oneOrMany(given, field, part -> path(part, field.levels()));
            case NUMBER -> Loose.number(one(given), field.unit(), field.decimalComma());
            case MONEY -> money(field, columns, one(given));
            case DATE ->
                oneOrMany(given, field, part -> Loose.day(part, field.dates()).toString());
            case PLACE -> place(field, columns, given);
            case YES_NO -> Loose.yesNo(one(given));
            case IMAGE -> image(field, columns, one(given));
            case LINK -> fromRoot(whole(Loose.text(one(given)).strip()));
        };
    }

    /**
     * Lists stay lists and single values single, however many there are: an item says the same with one tag as with
     * two.
     */
    private static @Nullable Object oneOrMany(
            Object loose, MappedField field, java.util.function.Function<Object, Object> reading) {
        List<Object> read =
                Loose.parts(loose, field.separator()).stream().map(reading).toList();
        boolean many = loose instanceof List<?> || field.separator() != null;
        return read.isEmpty() ? null : many ? read : read.getFirst();
    }

    /** Of several, the first: a field of this kind holds one. */
    private static Object one(Object loose) {
        return Loose.parts(loose, null).getFirst();
    }

    private static Object path(Object part, @Nullable String levels) {
        List<String> names = new ArrayList<>();
        if (part instanceof List<?> list) {
            list.forEach(name -> names.add(Loose.text(name).strip()));
        } else if (levels == null) {
            names.add(Loose.text(part).strip());
        } else {
            for (String name : Loose.text(part).split(Pattern.quote(levels))) {
                if (!name.isBlank()) {
                    names.add(name.strip());
                }
            }
        }
        // A name that holds a sign between levels would be read as several.
        return names.stream().anyMatch(name -> name.contains("/") || name.contains(CategoryPath.LEVELS))
                ? names
                : String.join("/", names);
    }

    private static Object money(MappedField field, Map<String, ? extends @Nullable Object> columns, Object given) {
        Object amount = given instanceof Map<?, ?> map ? Objects.requireNonNullElse(map.get("amount"), "") : given;
        Loose.Amount read = Loose.amount(amount, field.decimalComma());
        Object beside = given instanceof Map<?, ?> map
                ? map.get("currency")
                : field.currency() == null ? null : columns.get(field.currency());
        String currency = !Loose.empty(beside) ? Loose.text(beside).strip() : read.currency();
        if (currency == null
                && field.currency() != null
                && field.currency().matches("[A-Z]{3}")
                && !columns.containsKey(field.currency())) {
            currency = field.currency();
        }
        if (currency == null) {
            return read.amount();
        }
        return new LinkedHashMap<>(Map.of("amount", read.amount(), "currency", currency));
    }

    private @Nullable Object place(MappedField field, Map<String, ? extends @Nullable Object> columns, Object given) {
        Map<String, Object> place = new LinkedHashMap<>();
        if (field.longitude() != null) {
            Object longitude = columns.get(field.longitude());
            if (Loose.empty(longitude)) {
                throw new IllegalArgumentException(
                        "there is a latitude, and nothing in \"%s\"".formatted(field.longitude()));
            }
            place.put("lat", Loose.number(one(given), null, field.decimalComma()));
            place.put("lon", Loose.number(one(Objects.requireNonNull(longitude)), null, field.decimalComma()));
        } else if (given instanceof List<?> both && both.size() == 2) {
            place.put("lat", Loose.number(both.get(0), null, false));
            place.put("lon", Loose.number(both.get(1), null, false));
        } else if (given instanceof Map<?, ?> map) {
            map.forEach((name, value) -> {
                if (value != null) {
                    place.put(String.valueOf(name), value);
                }
            });
        } else if (PlacesByName.isName(Loose.text(one(given)))) {
            String town = Loose.text(one(given)).strip();
            Map<String, Object> placed = PlacesByName.placed(town, places);
            if (placed == null && unplaced.size() < MOST_UNPLACED) {
                unplaced.add(town);
            }
            return placed;
        } else {
            String[] both = Loose.text(one(given)).split("[,;\\s]+");
            if (both.length != 2) {
                throw new IllegalArgumentException("%s is no \"latitude, longitude\"".formatted(Require.shown(given)));
            }
            place.put("lat", Loose.number(both[0], null, false));
            place.put("lon", Loose.number(both[1], null, false));
        }
        Object name = field.placeName() == null ? null : columns.get(field.placeName());
        if (!Loose.empty(name)) {
            place.put("name", Loose.text(one(Objects.requireNonNull(name))).strip());
        }
        return place;
    }

    private Object image(MappedField field, Map<String, ? extends @Nullable Object> columns, Object given) {
        Map<String, Object> image = new LinkedHashMap<>();
        if (given instanceof Map<?, ?> map) {
            map.forEach((name, value) -> {
                if (value != null) {
                    image.put(String.valueOf(name), name.equals("url") ? fromRoot(Loose.text(value)) : value);
                }
            });
        } else {
            image.put("url", fromRoot(whole(Loose.text(given).strip())));
        }
        Object alternative = field.alternative() == null ? null : columns.get(field.alternative());
        if (!Loose.empty(alternative)) {
            image.put(
                    "alt", Loose.text(one(Objects.requireNonNull(alternative))).strip());
        }
        return image;
    }

    /** As people write the addresses of websites, with what browsers leave to be understood. */
    static String whole(String address) {
        return WITHOUT_SCHEME.matcher(address).matches() ? "https://" + address : encoded(address);
    }

    /** An address in which spaces were left as they are, as browsers read it. */
    private static String encoded(String address) {
        return address.startsWith("http://") || address.startsWith("https://") ? address.replace(" ", "%20") : address;
    }

    /** An address of the site itself, from its root; any other as it is. */
    private String fromRoot(String address) {
        if (!site.isEmpty()
                && address.startsWith(site)
                && SCHEME.matcher(address).matches()) {
            String rest = address.substring(site.length());
            if (rest.isEmpty()) {
                return "/";
            }
            if (rest.startsWith("/")) {
                return rest;
            }
        }
        return address;
    }
}
