package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A category value: the names from the top of its tree down to itself. The same name under two parents is two values.
 *
 * @param names as the site writes them, top first, never empty
 */
public record CategoryPath(List<String> names) {
    /** The deepest tree that is read; WordNet's nouns, the deepest we know, have 20 levels. */
    public static final int MOST_LEVELS = 32;
    /**
     * Bytes in UTF-8 of all names together. Whatever is made of a path (its key, its JSON, a term of the index) grows
     * with it and has limits further on, so a longer one is no value.
     */
    public static final int MOST_BYTES = 1_500;
    /** Between two levels, as people write trees. */
    public static final String LEVELS = " > ";

    public CategoryPath {
        names = names.stream().map(String::strip).toList();
        require(
                !names.isEmpty() && names.stream().noneMatch(String::isEmpty),
                "a category has an empty name in %s",
                Require.shown(names));
        require(
                names.size() <= MOST_LEVELS,
                "a category lies %d levels deep; %d are the most",
                names.size(),
                MOST_LEVELS);
        Require.shortEnough(String.join("/", names), MOST_BYTES, "a category with all above it");
    }

    /**
     * Reads {@code North Isle/Pell Harbour}, or {@code North Isle > Pell Harbour}, where names may hold slashes; empty
     * pieces, as of a slash at either end, are passed over.
     */
    public static CategoryPath parse(String text) {
        List<String> names = List.of(text.split(text.contains(LEVELS) ? LEVELS : "/")).stream()
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .toList();
        require(!names.isEmpty(), "%s names no category", Require.shown(text));
        return new CategoryPath(names);
    }

    /**
     * The value in addresses and documents, without regard to case, accents, width and blanks:
     * {@code north-isle/pell-harbour}. All other signs tell values apart, see {@link ValueKey}.
     */
    public String key() {
        return names.stream().map(ValueKey::of).collect(Collectors.joining("/"));
    }

    /** The keys of the values from the top of the tree down to this one. */
    public List<String> keysFromTheTop() {
        List<String> keys = new ArrayList<>(names.size());
        for (String name : names) {
            keys.add(keys.isEmpty() ? ValueKey.of(name) : keys.getLast() + "/" + ValueKey.of(name));
        }
        return keys;
    }

    /** The name it goes by: the last of its path. */
    public String label() {
        return names.getLast();
    }

    /** The values from the top of the tree down to this one. */
    public List<CategoryPath> fromTheTop() {
        return java.util.stream.IntStream.rangeClosed(1, names.size())
                .mapToObj(levels -> new CategoryPath(names.subList(0, levels)))
                .toList();
    }

    @Override
    public String toString() {
        return String.join("/", names);
    }
}
