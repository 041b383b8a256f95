package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

/** What tells one item of a collection from the others; given by the site, never by us. At most 200 characters. */
public record ItemId(String value) implements Comparable<ItemId> {
    public static final int MOST_LETTERS = 200;

    public ItemId {
        require(!value.isBlank(), "an item's id is empty; give each item one of its own");
        require(
                value.length() <= MOST_LETTERS,
                "an item's id has %d characters; %d are the most",
                value.length(),
                MOST_LETTERS);
        require(
                value.chars().noneMatch(Character::isISOControl),
                "the id \"%s\" holds control characters; take them out",
                value);
    }

    @Override
    public int compareTo(ItemId other) {
        return value.compareTo(other.value);
    }

    @Override
    public String toString() {
        return value;
    }
}
