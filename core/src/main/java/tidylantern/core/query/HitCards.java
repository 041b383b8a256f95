package tidylantern.core.query;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.lucene.index.StoredFields;
import org.apache.lucene.search.FieldDoc;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.TopFieldCollector;
import org.apache.lucene.util.SloppyMath;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Collection;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldValue;
import tidylantern.core.content.Item;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.card.Place;
import tidylantern.core.index.IndexFields;
import tidylantern.core.index.Stemming;
import tidylantern.core.place.Position;
import tidylantern.core.query.compiled.CardReading;
import tidylantern.core.query.filter.NarrowedQuery;
import tidylantern.core.query.order.Ordering;

/** Makes hits of what was found, for one query. */
public final class HitCards {
    private final NarrowedQuery asked;
    private final Ordering ordering;
    private final Excerpts excerpts;
    private final CardReading reading;
    private final StoredFields stored;
    private final SiteContent content;
    private final @Nullable FieldKey places;
    private final @Nullable Position from;
    private final Set<FieldKey> wanted;
    private final List<Item> items = new ArrayList<>();
    private final Map<String, Stemming> stemmings = new HashMap<>();

    HitCards(NarrowedQuery asked, Ordering ordering, Excerpts excerpts, Place place) throws IOException {
        this.asked = asked;
        this.ordering = ordering;
        this.excerpts = excerpts;
        reading = asked.search().cards(place);
        stored = asked.searcher().storedFields();
        content = asked.content();
        places = asked.search().placeFields().stream().findFirst().orElse(null);
        from = asked.located().position();
        wanted = reading.read(
                asked.design().words().help().seeAlso() && !asked.read().startingList(), from == null ? null : places);
    }

    /** The items of the hits made so far, with the fields that are needed of them. */
    List<Item> items() {
        return items;
    }

    List<Hit> of(List<ScoreDoc> documents) throws IOException {
        if (ordering.scoreAt() < 0 && !asked.read().startingList()) {
            // Something else decides the order; what the words gave is reckoned for these few alone.
            TopFieldCollector.populateScores(
                    documents.toArray(ScoreDoc[]::new),
                    asked.searcher(),
                    asked.read().lucene());
        }
        return made(documents);
    }

    /** The same for items that the query does not find, which its words give nothing. */
    List<Hit> beside(List<ScoreDoc> documents) throws IOException {
        documents.forEach(document -> document.score = 0);
        return made(documents);
    }

    private List<Hit> made(List<ScoreDoc> documents) throws IOException {
        List<Hit> hits = new ArrayList<>(documents.size());
        int score = ordering.scoreAt();
        for (int at = 0; at < documents.size(); at++) {
            ScoreDoc document = documents.get(at);
            Item item = IndexFields.item(stored, document.doc, wanted);
            items.add(item);
            Stemming stemming = stemmings.computeIfAbsent(language(item.ref().collection()), Stemming::new);
            double gave = asked.read().startingList()
                    ? 0
                    : score < 0 ? document.score : ((Number) ((FieldDoc) document).fields[score]).doubleValue();
            hits.add(new Hit(
                    item.ref(),
                    label(item.ref().collection()),
                    item.address(),
                    excerpts.whole(item.title(), stemming),
                    excerpt(item, stemming),
                    item.values().get(FieldKey.IMAGE) instanceof FieldValue.Image image ? image : null,
                    values(item),
                    gave,
                    metres(item),
                    ordering.holders().of(document.doc),
                    ordering.standing(
                            (FieldDoc) document, neighbour(documents, at), ordering.takesTurns(document.doc))));
        }
        return hits;
    }

    private MarkedText excerpt(Item item, Stemming stemming) {
        int room = reading.lines().getOrDefault(item.ref().collection(), 0);
        return room == 0 ? MarkedText.EMPTY : excerpts.excerpt(item, reading.prose(), stemming, room);
    }

    /**
     * The result that tells why one stands there: the one before it that no pin puts where it is; the one after it for
     * the first, and for the first behind the lifted ones, of which everybody knows that they come first.
     */
    private @Nullable FieldDoc neighbour(List<ScoreDoc> documents, int at) {
        for (int before = at - 1; before >= 0; before--) {
            if (!ordering.isPinned(documents.get(before).doc)) {
                if (ordering.isLifted(documents.get(before).doc) == ordering.isLifted(documents.get(at).doc)
                        || at + 1 >= documents.size()) {
                    return (FieldDoc) documents.get(before);
                }
                break;
            }
        }
        return at + 1 < documents.size() ? (FieldDoc) documents.get(at + 1) : null;
    }

    private Map<FieldKey, FieldValue> values(Item item) {
        Map<FieldKey, FieldValue> values = new HashMap<>(item.values());
        values.keySet().retainAll(reading.shown().getOrDefault(item.ref().collection(), Set.of()));
        return Map.copyOf(values);
    }

    private @Nullable Double metres(Item item) {
        return from != null && places != null && item.values().get(places) instanceof FieldValue.Place place
                ? (Double) SloppyMath.haversinMeters(
                        from.latitude(), from.longitude(), place.latitude(), place.longitude())
                : null;
    }

    String label(CollectionKey key) {
        Collection collection = content.collection(key);
        return collection == null ? key.value() : collection.label();
    }

    private String language(CollectionKey key) {
        Collection collection = content.collection(key);
        return collection == null ? "und" : collection.language();
    }
}
