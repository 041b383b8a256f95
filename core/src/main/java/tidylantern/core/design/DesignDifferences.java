package tidylantern.core.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.CollectionKey;
import tidylantern.core.design.DesignChecks.Step;

/** What differs between two designs of one search, decision by decision, in the order of the steps. */
public final class DesignDifferences {
    private static final int MOST_LISTED = 8;

    private DesignDifferences() {}

    /**
     * One decision that differs.
     *
     * @param what the decision, in the words of the screens
     * @param before what it was; null where there was none
     * @param after what it is; null where there is none
     */
    public record Difference(
            Step step,
            String what,
            @Nullable String before,
            @Nullable String after) {}

    public static List<Difference> between(SearchDesign before, SearchDesign after) {
        List<Difference> found = new ArrayList<>();
        compare(found, Step.REACH, collections(before), collections(after));
        compare(found, Step.WORDS, weights(before), weights(after));
        compare(found, Step.WORDS, strictness(before), strictness(after));
        lists(
                found,
                Step.WORDS,
                "Synonyms",
                before.words().synonyms(),
                after.words().synonyms());
        lists(
                found,
                Step.WORDS,
                "Stop words",
                before.words().stopWords(),
                after.words().stopWords());
        lists(
                found,
                Step.WORDS,
                "See also",
                before.words().help().owners(),
                after.words().help().owners());
        compare(found, Step.FILTERS, filters(before), filters(after));
        compare(found, Step.FILTERS, places(before), places(after));
        compare(found, Step.ORDER, order(before), order(after));
        compare(found, Step.ORDER, tiers(before), tiers(after));
        lists(found, Step.ORDER, "Pins", before.pins(), after.pins());
        compare(found, Step.GO_LIVE, page(before), page(after));
        return found;
    }

    /** What was added to a list and what was taken away; of many a few. */
    private static void lists(List<Difference> found, Step step, String what, List<?> before, List<?> after) {
        Set<Object> removed = new LinkedHashSet<>(before);
        removed.removeAll(Set.copyOf(after));
        Set<Object> added = new LinkedHashSet<>(after);
        added.removeAll(Set.copyOf(before));
        if (!removed.isEmpty() || !added.isEmpty()) {
            found.add(new Difference(step, what, listed(removed), listed(added)));
        }
    }

    private static @Nullable String listed(Set<Object> entries) {
        String first = entries.stream().limit(MOST_LISTED).map(String::valueOf).collect(Collectors.joining("; "));
        return entries.isEmpty()
                ? null
                : entries.size() <= MOST_LISTED
                        ? first
                        : "%s; and %d more".formatted(first, entries.size() - MOST_LISTED);
    }

    private static void compare(
            List<Difference> found, Step step, Map<String, String> before, Map<String, String> after) {
        Map<String, String> all = new LinkedHashMap<>(before);
        all.putAll(after);
        for (String what : all.keySet()) {
            if (!Objects.equals(before.get(what), after.get(what))) {
                found.add(new Difference(step, what, before.get(what), after.get(what)));
            }
        }
    }

    private static Map<String, String> collections(SearchDesign design) {
        Map<String, String> said =
                byName(design.searched(), (CollectionKey key) -> "Collection " + key, key -> "searched");
        for (Reach.Searched searched : design.reach().collections()) {
            searched.only().forEach(rule -> said.put("Only " + rule + " in " + searched.collection(), "searched"));
            searched.leaveOut()
                    .forEach(rule -> said.put("Items of " + searched.collection() + " with " + rule, "left out"));
        }
        return said;
    }

    private static Map<String, String> weights(SearchDesign design) {
        return byName(
                design.words().searched(), weight -> "Weight of " + weight.field(), weight -> number(weight.weight()));
    }

    private static Map<String, String> strictness(SearchDesign design) {
        Words words = design.words();
        Map<String, String> said = new LinkedHashMap<>();
        said.put("Words needed", words.needed().toString());
        said.put(
                "A word may be",
                switch (words.partOfWord()) {
                    case WHOLE -> "a whole word only";
                    case START -> "the start of a word";
                    case INSIDE -> "any part of a word";
                });
        said.put("Typos", words.typos().allowed() ? "forgiven" : "not forgiven");
        said.put("First letter", words.typos().firstLetterFixed() ? "must be right" : "may be wrong");
        said.put("Other forms of a word", words.stemming() ? "found" : "not found");
        said.put("Operators", words.operators() ? "allowed" : "read as words");
        said.put("Fewest letters", words.fewestLetters().toString());
        said.put("Completion of words", words.help().completions() ? "offered" : "not offered");
        said.put("Did you mean", words.help().didYouMean() ? "offered" : "not offered");
        said.put("Queries under the results", words.help().seeAlso() ? "offered" : "not offered");
        said.put("Words in an excerpt", words.excerpt().words().toString());
        said.put("Words before the first match", words.excerpt().wordsBefore().toString());
        return said;
    }

    private static Map<String, String> filters(SearchDesign design) {
        Map<String, String> said =
                byName(design.filtersInUse(), filter -> "Filter " + filter.label(), DesignDifferences::said);
        if (design.filtersInUse().size() > 1) {
            said.put(
                    "Order of the filters",
                    String.join(
                            ", ",
                            design.filtersInUse().stream().map(Filter::label).toList()));
        }
        return said;
    }

    private static Map<String, String> places(SearchDesign design) {
        Map<String, String> said = new LinkedHashMap<>();
        said.put("Filters on the results page", said(design.filterPlaces().page()));
        said.put("Filters beside the box", said(design.filterPlaces().box()));
        said.put(
                "Filters in the form that stands alone",
                said(design.filterPlaces().home()));
        return said;
    }

    private static Map<String, String> order(SearchDesign design) {
        Map<String, String> said = new LinkedHashMap<>();
        said.put("Order with words", said(design.order().withWords()));
        said.put("Order without words", said(design.order().withoutWords()));
        if (!design.order().choices().isEmpty()) {
            said.put("What visitors read for that order", design.order().label());
        }
        design.order()
                .choices()
                .forEach(choice -> said.put("Visitors may choose \"" + choice.label() + "\"", said(choice.by())));
        return said;
    }

    private static Map<String, String> tiers(SearchDesign design) {
        Map<String, String> said = new LinkedHashMap<>();
        for (Tier tier : design.tiersByRank()) {
            Tier.Lift lift = tier.lift();
            said.put(
                    "Tier " + tier.name(),
                    (lift == null
                                    ? "only marks"
                                    : "lifts %s, in live results %s%s"
                                            .formatted(
                                                    lift.most() == null ? "all" : lift.most(),
                                                    lift.mostLive() == null ? "as many" : lift.mostLive(),
                                                    lift.turns() == Tier.Turns.BY_DAY ? ", in turns by day" : ""))
                            + (tier.disclosure() == null ? "" : ", paid for: \"" + tier.disclosure() + "\"")
                            + (tier.holders().isEmpty()
                                    ? ""
                                    : ", held by "
                                            + String.join(
                                                    "; ",
                                                    tier.holders().stream()
                                                            .map(Tier.Holders::toString)
                                                            .toList())));
            said.put("Looks of " + tier.name(), said(tier.looks()));
        }
        if (design.tiers().size() > 1) {
            said.put(
                    "Ranks of tiers",
                    String.join(
                            ", ", design.tiersByRank().stream().map(Tier::name).toList()));
        }
        return said;
    }

    private static String said(TierLooks looks) {
        List<String> parts = new ArrayList<>();
        if (looks.ground() != null) {
            parts.add("ground " + looks.ground());
        }
        if (looks.corners() != null) {
            parts.add("corners " + looks.corners());
        }
        if (looks.edge() != TierLooks.Edge.NONE) {
            parts.add(looks.edge() + " edge " + looks.edgeColor());
        }
        if (looks.ribbon() != null) {
            parts.add("ribbon \"%s\" %s on %s, %s, at the %s"
                    .formatted(
                            looks.ribbon().text(),
                            looks.ribbon().color(),
                            looks.ribbon().ground(),
                            looks.ribbon().size(),
                            looks.ribbon().side()));
        }
        return parts.isEmpty() ? "as all cards" : String.join(", ", parts);
    }

    private static String said(List<OrderKey> keys) {
        return String.join(", then ", keys.stream().map(OrderKey::toString).toList());
    }

    private static String said(FilterPlaces.Place place) {
        return !place.shown()
                ? "none"
                : (place.atOnce() ? "hold at once, " : "hold by a button, ")
                        + switch (place.opened()) {
                            case IN_VIEW -> "in view";
                            case UNFOLDING -> "behind a button";
                            case OVER -> "behind a button, over the page";
                        };
    }

    private static String said(Filter filter) {
        if (filter.joined() != null) {
            return said(filter.withJoined(null)) + ", joined of "
                    + String.join(
                            "; ",
                            filter.joined().parts().stream()
                                    .map(part -> part.label() + " (" + said(part) + ")")
                                    .toList())
                    + (filter.joined().headings() ? " under a heading each" : " in one list");
        }
        List<String> said = new ArrayList<>();
        said.add((filter.several() == Filter.Several.ANY ? "any of " : "all of ") + filter.field());
        said.add("in addresses as " + filter.key());
        said.add(
                filter.control() == null
                        ? "the usual control"
                        : filter.control().toString());
        said.add(
                switch (filter.order()) {
                    case NAME -> "by name";
                    case NAME_DOWN -> "by name, last first";
                    case NUMBER -> "by the number in the name";
                    case COUNT -> "by number of items";
                });
        said.add(filter.tree() ? "as a tree" : "in one list");
        said.add((filter.counts() ? "with" : "without") + " counts, " + filter.cutAfter() + " at first");
        said.add("without results "
                + switch (filter.withoutResults()) {
                    case DIM -> "greyed";
                    case HIDE -> "not shown";
                    case FOUND -> "not shown, and only those of the items found";
                });
        if (filter.folded()) {
            said.add("folded");
        }
        if (!filter.help().isEmpty()) {
            said.add("“" + filter.help() + "”");
        }
        if (!filter.unit().isEmpty()) {
            said.add("in " + filter.unit());
        }
        if (filter.devices() != Filter.Devices.ALL) {
            said.add(filter.devices() == Filter.Devices.WIDE ? "only beside the results" : "only in the sheet");
        }
        if (filter.after() != null) {
            said.add("once " + filter.after() + " is set");
        }
        if (!filter.neutral().isEmpty()) {
            said.add("“" + filter.neutral() + "” for none");
        }
        if (!filter.bands().isEmpty()) {
            said.add("steps at "
                    + String.join(
                            ", ",
                            filter.bands().stream()
                                    .map(DesignDifferences::number)
                                    .toList()));
        }
        if (filter.picked() != null) {
            said.add("hand-picked: "
                    + (filter.picked().isEmpty() ? "none" : listed(new LinkedHashSet<>(filter.picked()))));
        } else if (!filter.except().isEmpty()) {
            said.add("without " + listed(new LinkedHashSet<>(filter.except())));
        }
        if (filter.picked() != null && !filter.values().withBelow()) {
            said.add("without what lies below");
        }
        if (filter.values().depth() > 0) {
            said.add(filter.values().depth() + " levels deep");
        }
        filter.values().merged().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(one -> said.add(one.getKey() + " counts as " + one.getValue()));
        if (!filter.values().pictures().isEmpty()) {
            said.add("with "
                    + filter.values().pictures().entrySet().stream()
                            .sorted(Map.Entry.comparingByKey())
                            .map(one -> one.getValue() + " for " + one.getKey())
                            .collect(Collectors.joining(", ")));
        }
        said.add("searched by name from " + filter.values().searchFrom());
        if (!filter.start().setsNothing()) {
            said.add("starts with "
                    + (filter.start().all()
                            ? "all"
                            : listed(new LinkedHashSet<>(filter.start().chosen()))));
        }
        if (filter.control() == Control.DISTANCE) {
            said.add("up to "
                    + String.join(
                            ", ",
                            filter.radii().stream()
                                    .map(DesignDifferences::number)
                                    .toList()));
        }
        said.add(shown(filter.shown()));
        filter.labels().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(label -> said.add(label.getKey() + " reads “" + label.getValue() + "”"));
        return String.join(", ", said);
    }

    private static String shown(Filter.Shown shown) {
        List<String> places = new ArrayList<>();
        if (shown.page() != Filter.OnPage.NOWHERE) {
            places.add(shown.page() == Filter.OnPage.SIDE ? "beside the results" : "above the results");
        }
        if (shown.box()) {
            places.add("at the box");
        }
        if (shown.home()) {
            places.add("in the form alone");
        }
        return (places.isEmpty() ? "shown nowhere" : String.join(" and ", places))
                + (shown.narrowing() ? ", while it narrows" : "")
                + (shown.collections().isEmpty()
                        ? ""
                        : ", with results of "
                                + String.join(
                                        ", ",
                                        shown.collections().stream()
                                                .map(CollectionKey::value)
                                                .toList()));
    }

    private static Map<String, String> page(SearchDesign design) {
        Map<String, String> said = new LinkedHashMap<>();
        said.put("Name", design.name());
        said.put("Results page", Objects.requireNonNullElse(design.page().address(), "the hosted one"));
        said.put("Results a page", String.valueOf(design.page().perPage()));
        said.put(
                "Results stand",
                design.page().arranged() == SearchDesign.Arranged.GRID ? "side by side" : "one below the other");
        return said;
    }

    private static <T> Map<String, String> byName(
            Iterable<T> parts, Function<T, String> name, Function<T, String> value) {
        Map<String, String> said = new LinkedHashMap<>();
        parts.forEach(part -> said.put(name.apply(part), value.apply(part)));
        return said;
    }

    /** 5 for 5.0, 2.5 for 2.5. */
    static String number(double number) {
        return number == Math.rint(number) ? Long.toString((long) number) : Double.toString(number);
    }
}
