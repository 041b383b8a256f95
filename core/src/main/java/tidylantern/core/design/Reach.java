package tidylantern.core.design;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import tidylantern.core.content.CollectionKey;

/** Which items a search can find ('What is searched'). An item is in reach if its collection is searched. */
public record Reach(List<Searched> collections) {
    public Reach {
        collections = collections == null ? List.of() : List.copyOf(collections);
        DesignFault.ifTwice(collections.stream().map(Searched::collection).toList(), "collections", "the collection");
    }

    /** One collection that is searched. */
    public record Searched(CollectionKey collection) {
        public Searched {
            DesignFault.unless(collection != null, "collection", "name the collection that is searched");
        }
    }

    public Set<CollectionKey> keys() {
        Set<CollectionKey> keys = new LinkedHashSet<>();
        collections.forEach(searched -> keys.add(searched.collection()));
        return keys;
    }
}
