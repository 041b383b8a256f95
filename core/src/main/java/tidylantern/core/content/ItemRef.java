package tidylantern.core.content;

/** One item of a site: its collection and its id there. */
public record ItemRef(CollectionKey collection, ItemId id) {
    /** {@code collection/id}; no two items of a site share it, since a collection's key holds no slash. */
    @Override
    public String toString() {
        return collection.value() + "/" + id.value();
    }
}
