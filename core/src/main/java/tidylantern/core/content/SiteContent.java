package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What one site holds beside its items.
 *
 * @param collections in the owner's order; a field's key has one kind over all of them
 * @param placements given by hand, those of other days too
 * @param zone by which the site's days begin and end
 * @param ownPlaces names of places that the owner added
 */
public record SiteContent(
        List<Collection> collections, List<Placement> placements, ZoneId zone, List<OwnPlace> ownPlaces) {
    /** Without placements, by Greenwich time. */
    public SiteContent(List<Collection> collections) {
        this(collections, List.of(), ZoneOffset.UTC, List.of());
    }

    public SiteContent {
        collections = List.copyOf(collections);
        placements = List.copyOf(placements);
        ownPlaces = List.copyOf(ownPlaces);
        Map<FieldKey, FieldKind> kinds = new LinkedHashMap<>();
        for (Collection collection : collections) {
            for (Field field : collection.fields()) {
                FieldKind first = kinds.putIfAbsent(field.key(), field.kind());
                require(
                        first == null || first == field.kind(),
                        "the field \"%s\" is %s in \"%s\" and %s elsewhere; give one of them a key of its own",
                        field.key(),
                        field.kind(),
                        collection.key(),
                        first);
            }
        }
    }

    public @Nullable Collection collection(CollectionKey key) {
        return collections.stream()
                .filter(collection -> collection.key().equals(key))
                .findFirst()
                .orElse(null);
    }

    /** The kind of a field, or null where no collection has it. */
    public @Nullable FieldKind kind(FieldKey key) {
        if (key.equals(FieldKey.COLLECTION)) {
            return FieldKind.CATEGORY;
        }
        for (Collection collection : collections) {
            Field field = collection.field(key);
            if (field != null) {
                return field.kind();
            }
        }
        return null;
    }

    /** One language of the named collections, the same whenever it is asked for; English where there is none. */
    public String language(Set<CollectionKey> of) {
        return languages(of).stream().sorted().findFirst().orElse("en");
    }

    /** The languages of the named collections; those that are not there are passed over. */
    public Set<String> languages(Set<CollectionKey> of) {
        return collections.stream()
                .filter(c -> of.contains(c.key()))
                .map(Collection::language)
                .collect(Collectors.toSet());
    }
}
