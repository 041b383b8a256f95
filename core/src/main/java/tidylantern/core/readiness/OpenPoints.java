package tidylantern.core.readiness;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tidylantern.core.content.FieldKind;
import tidylantern.core.content.SiteContent;
import tidylantern.core.design.DesignChecks;
import tidylantern.core.design.SearchDesign;
import tidylantern.core.design.Synonym;
import tidylantern.core.design.Tier;
import tidylantern.core.design.filter.Filter;
import tidylantern.core.design.filter.FilterPlaces;
import tidylantern.core.design.filter.JointSource;
import tidylantern.core.design.filter.OnPage;
import tidylantern.core.design.text.DesignLabels;
import tidylantern.core.design.text.Language;
import tidylantern.core.design.text.VisitorTexts;
import tidylantern.core.health.Finding;
import tidylantern.core.query.filter.FilterFigures;
import tidylantern.core.readiness.OpenPoint.Place;
import tidylantern.core.readiness.OpenPoint.Weight;
import tidylantern.core.trial.Trial;
import tidylantern.core.trial.TrialReport;

/**
 * Gathers what is open in a design: what its checks say, and what shows only beside the content, the trials, the site's
 * pages and its sources. What is asked costs nothing but what it is given.
 */
public final class OpenPoints {
    /** A run is late once so many of its times have passed. */
    private static final int TIMES_TO_BE_LATE = 3;
    /** What is run by hand alone is looked after once in so long; common practice. */
    private static final Duration LONG_BY_HAND = Duration.ofDays(30);

    private static final int MOST_NAMED = 5;
    private static final int LONGEST_SUBJECT = 150;

    private final SearchDesign design;
    private final SiteContent content;
    private final List<OpenPoint> points = new ArrayList<>();

    public OpenPoints(SearchDesign design, SiteContent content) {
        this.design = design;
        this.content = content;
    }

    /** All that was gathered; of one weight in the order of the places. */
    public List<OpenPoint> worstFirst() {
        return points.stream()
                .sorted(Comparator.comparing(OpenPoint::weight).thenComparing(OpenPoint::place))
                .toList();
    }

    private void add(String kind, String subject, Weight weight, Place place, @Nullable String of, String text) {
        points.add(new OpenPoint(kind + ":" + brief(subject), weight, text, place, of));
    }

    /** Long ones that begin alike are still two. */
    private static String brief(String subject) {
        return subject.length() <= LONGEST_SUBJECT
                ? subject
                : subject.substring(0, LONGEST_SUBJECT) + "~" + Integer.toHexString(subject.hashCode());
    }

    /** @param otherwise how bad those are that do not stop a publication */
    public void remarks(List<DesignChecks.Remark> remarks, Weight otherwise) {
        for (DesignChecks.Remark remark : remarks) {
            Weight weight = remark.stops() ? Weight.STOPS : otherwise;
            // They have no key of their own; their words name what they are about.
            add("remark", remark.text(), weight, Place.valueOf(remark.step().name()), null, remark.text());
        }
    }

    /** @param figures of the design's filters, as they are today */
    public void filters(List<FilterFigures> figures) {
        Map<String, FilterFigures> byKey =
                figures.stream().collect(Collectors.toMap(FilterFigures::key, one -> one, (one, same) -> one));
        for (Filter filter : design.filtersInUse()) {
            FilterFigures today = byKey.get(filter.key());
            if (isHidden(filter, design.filterPlaces())) {
                filterPoint(
                        "filter-hidden",
                        filter,
                        "The filter \"%s\" is shown in no place, so nobody can use it."
                                + " Show it somewhere, or switch it off.");
            } else if (today != null && isOfCategories(filter) && today.values() == 0) {
                filterPoint(
                        "filter-empty",
                        filter,
                        "The filter \"%s\" has no value on offer today, so nobody sees it."
                                + " Offer some, or switch it off.");
            } else if (today != null && today.nearlyUnique()) {
                filterPoint(
                        "filter-unique",
                        filter,
                        "Of the filter \"%s\", nearly every value stands in one item alone, so it narrows to that one."
                                + " A search word does the same.");
            }
        }
    }

    private void filterPoint(String kind, Filter filter, String text) {
        add(kind, filter.key(), Weight.WEAKENS, Place.FILTERS, filter.key(), text.formatted(filter.label()));
    }

    private boolean isOfCategories(Filter filter) {
        return !(filter.source() instanceof JointSource)
                && content.kind(filter.fields().getFirst()) == FieldKind.CATEGORY;
    }

    private static boolean isHidden(Filter filter, FilterPlaces places) {
        boolean onPage =
                filter.shown().page() != OnPage.NOWHERE && places.page().shown();
        boolean besideBox = filter.shown().box() && places.box().shown();
        boolean alone = filter.shown().home() && places.home().shown();
        return !onPage && !besideBox && !alone;
    }

    /** @param report of the draft's trials */
    public void trials(TrialReport report) {
        for (TrialReport.Outcome outcome : report.outcomes()) {
            if (!outcome.draft().holds()) {
                boolean isWorse = outcome.live() != null && outcome.live().holds();
                Trial trial = outcome.trial();
                add(
                        "trial",
                        trial.query() + "|" + trial.expected(),
                        isWorse ? Weight.FAILS : Weight.WEAKENS,
                        Place.TRIALS,
                        null,
                        "The trial \"%s\" fails%s"
                                .formatted(trial.query(), isWorse ? ", and it holds live." : " with this draft."));
            }
        }
    }

    /**
     * Synonyms that can bring nothing: no item in reach holds any of the words that they look for too.
     *
     * @param found how many items a word or phrase finds, without synonyms and as it is written
     */
    public void synonyms(ToIntFunction<String> found) {
        for (Synonym synonym : design.words().synonyms()) {
            if (synonym.words().stream().allMatch(word -> found.applyAsInt(word) == 0)) {
                add(
                        "synonym",
                        synonym.toString(),
                        Weight.WEAKENS,
                        Place.WORDS,
                        "synonyms",
                        "The synonyms \"%s\" find nothing today: no item holds any of the words they look for."
                                .formatted(synonym));
            }
        }
    }

    /** @param holders how many items hold each tier today, by the tier's key */
    public void tiers(Map<String, Integer> holders) {
        for (Tier tier : design.tiers()) {
            if (holders.getOrDefault(tier.key(), 0) == 0) {
                add(
                        "tier",
                        tier.key(),
                        Weight.WEAKENS,
                        Place.ORDER,
                        tier.key(),
                        "Nothing holds the tier \"%s\" today, so nothing is highlighted by it.".formatted(tier.name()));
            }
        }
    }

    /** @param refused origins whose pages asked the site's searches and were turned away */
    public void origins(Collection<String> refused) {
        for (String origin : refused) {
            add(
                    "origin",
                    origin,
                    Weight.FAILS,
                    Place.SITE,
                    "origins",
                    ("A page of %s asked a search of this site and was turned away, so visitors find nothing there."
                                    + " Allow it, if it is yours.")
                            .formatted(origin));
        }
    }

    /** @param findings about the site's items; those that keep results of this search from being found or read count */
    public void items(List<Finding> findings) {
        for (Finding finding : findings) {
            // Items are lost for several reasons, each a finding of its own; untitled ones are told together.
            boolean isLost = finding.kind() == Finding.Kind.CANNOT_BE_FOUND;
            if ((isLost || finding.kind() == Finding.Kind.NO_TITLE)
                    && design.searched().contains(finding.collection())) {
                add(
                        "items",
                        finding.kind() + " " + finding.collection() + (isLost ? " " + finding.some() : ""),
                        isLost ? Weight.FAILS : Weight.WEAKENS,
                        Place.ITEMS,
                        null,
                        "%s: %s %s".formatted(called(finding), sentence(finding.what()), finding.effect()));
            }
        }
    }

    private static String sentence(String words) {
        return words.endsWith(".") ? words : words + ".";
    }

    private String called(Finding finding) {
        var collection = content.collection(finding.collection());
        return collection == null ? finding.collection().value() : collection.label();
    }

    /** @param sources of what is searched */
    public void sources(List<SourceState> sources) {
        for (SourceState source : sources) {
            String number = String.valueOf(source.number());
            if (source.problem() != null) {
                add(
                        "source-failed",
                        number,
                        Weight.FAILS,
                        Place.SOURCE,
                        number,
                        "The source \"%s\" did not run through: %s".formatted(source.name(), source.problem()));
            } else if (source.changes() && isLate(source)) {
                add("source-late", number, Weight.WEAKENS, Place.SOURCE, number, late(source));
            }
        }
    }

    private static boolean isLate(SourceState source) {
        Duration patience =
                source.between() == null ? LONG_BY_HAND : source.between().multipliedBy(TIMES_TO_BE_LATE);
        return source.sinceRun() == null || source.sinceRun().compareTo(patience) > 0;
    }

    private static String late(SourceState source) {
        if (source.sinceRun() == null) {
            return "The source \"%s\" never ran. Run it once, or remove it.".formatted(source.name());
        }
        return "The source \"%s\" ran last %d days ago. What changed since is not found."
                .formatted(source.name(), source.sinceRun().toDays());
    }

    /**
     * A box on the site that leads to a page without a list.
     *
     * @param listPage address of the site's own results page, without query; null where results are shown by the
     *     service
     * @param met the pages with elements of the search
     */
    public void pages(@Nullable String listPage, List<CarryingPage> met) {
        boolean isBoxMet = met.stream().anyMatch(CarryingPage::box);
        boolean isListMet =
                met.stream().anyMatch(page -> page.list() && page.address().equals(listPage));
        if (listPage != null && isBoxMet && !isListMet) {
            add(
                    "box-leads",
                    listPage,
                    Weight.FAILS,
                    Place.BOX,
                    "leads",
                    ("The box leads to %s, and nobody has met a list of results there yet."
                                    + " Open that page once; if its tag is missing, put it there.")
                            .formatted(listPage));
        }
    }

    /** Labels without a wording in a language in which others were worded. */
    public void texts() {
        VisitorTexts texts = design.texts();
        Set<Language> inUse = new LinkedHashSet<>();
        texts.labels().forEach(label -> inUse.add(label.language()));
        for (Language language : inUse) {
            Set<String> worded = texts.labels().stream()
                    .filter(label -> label.language() == language)
                    .map(label -> label.label())
                    .collect(Collectors.toSet());
            List<String> missing = DesignLabels.of(design).stream()
                    .filter(label -> !worded.contains(label.label()))
                    .map(DesignLabels.UsualLabel::usual)
                    .toList();
            if (!missing.isEmpty()) {
                add("texts", language.toString(), Weight.WEAKENS, Place.CARDS, "texts", notWorded(language, missing));
            }
        }
    }

    private static String notWorded(Language language, List<String> missing) {
        Stream<String> named = missing.stream().limit(MOST_NAMED);
        Stream<String> more = missing.size() > MOST_NAMED
                ? Stream.of("and %d more".formatted(missing.size() - MOST_NAMED))
                : Stream.of();
        return "In %s visitors read these labels as they are: %s."
                .formatted(language.called(), Stream.concat(named, more).collect(Collectors.joining(", ")));
    }
}
