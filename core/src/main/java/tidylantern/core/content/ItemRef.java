package tidylantern.core.content;

/** One item of a site: its collection and its id there. */
public record ItemRef(CollectionKey collection, ItemId id) {
    /** Reads what {@link #toString} writes. */
    public static ItemRef parse(String text) {
        int slash = text.indexOf('/');
        return new ItemRef(
                new CollectionKey(text.substring(0, Math.max(0, slash))), new ItemId(text.substring(slash + 1)));
    }

    /** {@code collection/id}; no two items of a site share it, since a collection's key holds no slash. */
    @Override
    public String toString() {
        return collection.value() + "/" + id.value();
    }
}
