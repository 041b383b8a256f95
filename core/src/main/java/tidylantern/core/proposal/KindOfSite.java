package tidylantern.core.proposal;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.Field;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.FieldKind;
import tidylantern.core.design.card.ReadyCards;

/** What a site, or one of its collections, is about; told by what its fields are called and what stands in them. */
public enum KindOfSite {
    BLOG("A blog or a magazine", ReadyCards.POST),
    DIRECTORY("A directory of entries", ReadyCards.ENTRY),
    RECIPES("Recipes", ReadyCards.RECIPE),
    TRIPS("Trips or events with days", ReadyCards.TRIP),
    HOMES("Homes or rooms", ReadyCards.HOME),
    PICTURES("Pictures", ReadyCards.PICTURE),
    OTHER("A bit of everything", "");

    /** A site is of a kind if so much of it is. */
    private static final double MOST_OF_IT = 0.6;

    private static final double NEARLY_ALL = 0.9;
    private static final double HALF = 0.5;
    /** Texts of fewer words are a caption rather than an article. */
    private static final int WORDS_OF_AN_ARTICLE = 60;

    private static final int WORDS_OF_A_CAPTION = 30;

    /** Types of schema.org (version 29) by what a site of them is about. */
    private static final Map<String, KindOfSite> TYPES = Map.ofEntries(
            Map.entry("BlogPosting", BLOG),
            Map.entry("Article", BLOG),
            Map.entry("NewsArticle", BLOG),
            Map.entry("Recipe", RECIPES),
            Map.entry("Event", TRIPS),
            Map.entry("TouristTrip", TRIPS),
            Map.entry("Trip", TRIPS),
            Map.entry("Accommodation", HOMES),
            Map.entry("Apartment", HOMES),
            Map.entry("House", HOMES),
            Map.entry("SingleFamilyResidence", HOMES),
            Map.entry("RealEstateListing", HOMES),
            Map.entry("ImageObject", PICTURES),
            Map.entry("Photograph", PICTURES),
            Map.entry("LocalBusiness", DIRECTORY),
            Map.entry("Organization", DIRECTORY),
            Map.entry("Restaurant", DIRECTORY),
            Map.entry("Person", DIRECTORY));

    private final String said;
    private final String card;

    KindOfSite(String said, String card) {
        this.said = said;
        this.card = card;
    }

    /** The ready card for it; the one that shows most, where a collection has not the fields for that. */
    ReadyCards.Ready card(List<ReadyCards.Ready> ready) {
        return ready.stream().filter(one -> one.name().equals(card)).findFirst().orElseGet(ready::getFirst);
    }

    /** As owners read it. */
    public String said() {
        return said;
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The kind that most items of a site's collections have; {@link #OTHER} where no kind has {@code 60 %}. */
    static KindOfSite of(List<CollectionSample> samples, LocalDate today) {
        Map<KindOfSite, Integer> items = new EnumMap<>(KindOfSite.class);
        samples.forEach(sample -> items.merge(of(sample, today), sample.items(), Integer::sum));
        int all = items.values().stream().mapToInt(count -> count).sum();
        return items.entrySet().stream()
                .max(Comparator.comparingInt(Map.Entry::getValue))
                .filter(most -> most.getValue() >= MOST_OF_IT * all)
                .map(Map.Entry::getKey)
                .orElse(OTHER);
    }

    /**
     * The kind of one collection: what its pages are marked up as (schema.org), else what its fields tell. What is
     * rarer among sites is looked for first.
     */
    static KindOfSite of(CollectionSample sample, LocalDate today) {
        KindOfSite marked = markedUp(sample);
        if (marked != null) {
            return marked;
        }
        if (names(sample, FieldWords.COOKING, FieldKind.values())) {
            return RECIPES;
        }
        if (names(sample, FieldWords.ROOMS, FieldKind.NUMBER)
                && !sample.of(FieldKind.MONEY).isEmpty()) {
            return HOMES;
        }
        if (sample.of(FieldKind.DATE).stream()
                .filter(field -> !field.key().equals(FieldKey.PUBLISHED))
                .anyMatch(field -> sample.toCome(field.key(), today) >= HALF
                        || (FieldWords.STARTING.name(field) && sample.saying(field.key()) >= HALF))) {
            return TRIPS;
        }
        if (isPictures(sample)) {
            return PICTURES;
        }
        if (sample.saying(FieldKey.PUBLISHED) >= HALF
                && (sample.saying(FieldKey.AUTHOR) >= HALF || sample.words(FieldKey.BODY) >= WORDS_OF_AN_ARTICLE)
                && sample.of(FieldKind.MONEY, FieldKind.PLACE).isEmpty()
                && !names(sample, FieldWords.CONTACT, FieldKind.values())) {
            return BLOG;
        }
        boolean isListed = !sample.of(FieldKind.CATEGORY).isEmpty()
                || !sample.of(FieldKind.PLACE).isEmpty()
                || names(sample, FieldWords.CONTACT, FieldKind.values());
        return isListed ? DIRECTORY : OTHER;
    }

    /** By the type that nearly all items have, where a field holds it; null where none does. */
    private static @Nullable KindOfSite markedUp(CollectionSample sample) {
        for (Field field : sample.of(FieldKind.CATEGORY, FieldKind.TEXT)) {
            if (FieldWords.MARK_UP.name(field)) {
                for (Map.Entry<String, KindOfSite> type : TYPES.entrySet()) {
                    if (sample.naming(field.key(), type.getKey()) >= NEARLY_ALL) {
                        return type.getValue();
                    }
                }
            }
        }
        return null;
    }

    private static boolean isPictures(CollectionSample sample) {
        boolean isPlain =
                sample.of(FieldKind.NUMBER, FieldKind.MONEY, FieldKind.YES_NO).isEmpty();
        boolean isCalledSo = FieldWords.PICTURES.in(sample.collection().label())
                || FieldWords.PICTURES.in(sample.collection().key().value());
        return isPlain
                && sample.saying(FieldKey.IMAGE) >= NEARLY_ALL
                && (isCalledSo
                        || (sample.words(FieldKey.BODY) < WORDS_OF_A_CAPTION
                                && sample.saying(FieldKey.PUBLISHED) < HALF
                                && sample.of(FieldKind.PLACE).isEmpty()));
    }

    private static boolean names(CollectionSample sample, FieldWords words, FieldKind... kinds) {
        for (Field field : sample.of(kinds)) {
            if (words.name(field)) {
                return true;
            }
        }
        return false;
    }
}
