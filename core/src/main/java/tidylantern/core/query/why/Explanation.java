package tidylantern.core.query.why;

import java.util.List;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKey;
import tidylantern.core.content.ItemRef;
import tidylantern.core.design.ReachRule;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.query.order.Standing;
import tidylantern.core.query.words.Strength;

/**
 * Why a query finds an item where it does, or why it does not find it.
 *
 * @param title of the item; its id where there is no such item
 * @param total how many items the query finds
 * @param place of the item among them, 1 for the first; null where it is not found
 * @param page on which it stands; null where it is not found
 * @param score what its words give together; 0 in the starting list
 * @param words what each word of the query gives; the gifts add up to the score
 * @param standing what else than the order's keys moves it; null where it is not found
 * @param reasons why it is not found, each of which has to go; none for a hit
 * @param leavings rules that would leave a hit out; none for a miss
 */
public record Explanation(
        ItemRef item,
        String title,
        boolean startingList,
        int total,
        @Nullable Integer place,
        @Nullable Integer page,
        double score,
        List<WordPart> words,
        @Nullable Standing standing,
        List<Reason> reasons,
        List<Leaving> leavings) {
    public Explanation {
        words = List.copyOf(words);
        reasons = List.copyOf(reasons);
        leavings = List.copyOf(leavings);
    }

    /** Whether the query finds the item. */
    public boolean found() {
        return place != null;
    }

    /**
     * One word (or quoted phrase) of the query.
     *
     * @param typos whether hardly anything holds it as typed, so that slips are forgiven
     * @param cut whether it would be looked for with slips or written otherwise, had the query not so many such words
     *     before it
     * @param fields in which the item holds it, what gives most first
     */
    public record WordPart(String word, boolean typos, boolean cut, double gives, List<FieldPart> fields) {
        public WordPart {
            fields = List.copyOf(fields);
        }
    }

    /**
     * One field that holds a word.
     *
     * @param way the strongest in which it is met there
     * @param met words of the field that it meets, as written; none for the owner's keywords, which stand nowhere
     * @param gives weight and way together, by how rare the word is and how long the text
     */
    public record FieldPart(FieldKey field, double weight, Strength way, List<String> met, double gives) {
        public FieldPart {
            met = List.copyOf(met);
        }
    }

    /** What kind of reason keeps an item from being found. */
    public enum Kind {
        /** There is no such item. */
        NOT_THERE,
        /** Its collection is not searched. */
        COLLECTION_NOT_SEARCHED,
        /** Its owner keeps it out of every search. */
        KEPT_OUT,
        /** A rule leaves it out. */
        LEFT_OUT,
        /** There are 'only' rules, and none of those on one thing lets it in. */
        NOT_LET_IN,
        /** A word stands in fields of it that are not searched, and nowhere else. */
        FIELD_NOT_SEARCHED,
        /** It holds the word in another way than the design allows. */
        TOO_STRICT,
        /** It holds the word in no field and no way. */
        WORD_NOWHERE,
        /** It holds fewer of the words than are needed. */
        TOO_FEW_WORDS,
        /** It does not fit the visitor's operators. */
        OPERATORS,
        /** A pin takes it out of this query. */
        TAKEN_OUT,
        /** It does not fit what is set in a filter; 'words' are that, as visitors read it. */
        FILTERED;

        @Override
        public String toString() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }

    /**
     * One reason for a miss.
     *
     * @param words those concerned
     * @param fields those concerned
     * @param rule the one that hits, or one of those that do not
     * @param remedies changes of the design that take the reason away; none where there is none
     */
    public record Reason(
            Kind kind,
            List<String> words,
            List<FieldKey> fields,
            @Nullable ReachRule rule,
            List<Remedy> remedies) {
        public Reason {
            words = List.copyOf(words);
            fields = List.copyOf(fields);
            remedies = List.copyOf(remedies);
        }
    }

    /** What a remedy does. */
    public enum Cure {
        SEARCH_COLLECTION,
        DROP_RULE,
        DROP_ONLY_RULES,
        SEARCH_FIELD,
        ALLOW_TYPOS,
        FREE_FIRST_LETTER,
        MATCH_STARTS,
        MATCH_INSIDE,
        FIND_OTHER_FORMS,
        ADD_SYNONYM,
        NEED_FEWER_WORDS,
        NO_OPERATORS,
        DROP_PIN;

        @Override
        public String toString() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
        }
    }

    /**
     * A change that takes one reason away.
     *
     * @param field that would be searched; null for other cures
     * @param after the design with it
     * @param total how many items the query would find then
     * @param place of the item then; null if other reasons remain
     */
    public record Remedy(
            Cure cure,
            @Nullable FieldKey field,
            SearchDesign after,
            int total,
            @Nullable Integer place) {}

    /**
     * A rule that would leave the item out.
     *
     * @param name of the category or author as the site writes it, or the item's title
     * @param items how many items that are in reach now would go
     */
    public record Leaving(ReachRule rule, String name, int items) {}
}
