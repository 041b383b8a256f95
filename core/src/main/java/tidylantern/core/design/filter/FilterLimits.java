package tidylantern.core.design.filter;

import java.util.LinkedHashMap;
import java.util.Map;
import tidylantern.core.design.Limit;

/** Between which ends what an owner writes into a filter may be: numbers, lengths of texts, and how many of a list. */
public final class FilterLimits {
    private FilterLimits() {}

    /** By their paths in a filter; of what several sources have, the limit is the same. */
    public static Map<String, Limit> byPath() {
        Map<String, Limit> limits = new LinkedHashMap<>();
        limits.put("head.key", new Limit(1, FilterHead.LONGEST_KEY));
        limits.put("head.label", new Limit(1, FilterHead.LONGEST_LABEL));
        limits.put("head.help", new Limit(0, FilterHead.LONGEST_HELP));
        limits.put("source.offered.depth", OfferedValues.DEPTH);
        limits.put("source.looks.labels", new Limit(1, FilterText.LONGEST_LABEL));
        limits.put("source.list.cutAfter", ValueList.CUT_AFTER);
        limits.put("source.list.searchFrom", ValueList.SEARCH_FROM);
        limits.put("source.cutAfter", ValueList.CUT_AFTER);
        limits.put("source.neutral", new Limit(0, FilterText.LONGEST_NEUTRAL));
        limits.put("source.unit", new Limit(0, NumberSource.LONGEST_UNIT));
        limits.put("source.bands", NumberSource.BANDS);
        limits.put("source.radii", DistanceSource.RADII);
        limits.put("source.parts", JointSource.PARTS);
        return limits;
    }
}
