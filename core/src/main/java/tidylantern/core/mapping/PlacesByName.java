package tidylantern.core.mapping;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tidylantern.core.place.Gazetteer;

/** Items that say a town and no latitude and longitude: where they are is where the town is. */
final class PlacesByName {
    /** Coordinates in any spelling have digits; names of towns hardly ever do. */
    private static final Pattern NAME = Pattern.compile("[^\\d]*\\p{L}[^\\d]*");
    /** Fewer say too little of what a column holds. */
    private static final int FEWEST = 5;
    /** Of the different names; the rest are villages, or written otherwise. */
    private static final double KNOWN = 0.8;

    /** Different names, how many of them are known, and how many of these stand for several places. */
    record Known(int names, int known, int several) {
        boolean isEnough() {
            return names >= FEWEST && known >= KNOWN * names;
        }
    }

    private PlacesByName() {}

    static boolean isName(String text) {
        return NAME.matcher(text).matches();
    }

    /** The place of most people that is called so, in the form that items keep; null for a name that nobody knows. */
    static @Nullable Map<String, Object> placed(String name, Gazetteer places) {
        List<Gazetteer.Found> found = places.named(name);
        if (found.isEmpty()) {
            return null;
        }
        Map<String, Object> place = new LinkedHashMap<>();
        place.put("lat", found.getFirst().position().latitude());
        place.put("lon", found.getFirst().position().longitude());
        place.put("name", name.strip());
        return place;
    }

    static Known known(List<String> texts, Gazetteer places) {
        Set<String> names = new HashSet<>();
        texts.forEach(text -> names.add(text.strip()));
        int known = 0;
        int several = 0;
        for (String name : names) {
            int found = isName(name) ? places.named(name).size() : 0;
            known += found > 0 ? 1 : 0;
            several += found > 1 ? 1 : 0;
        }
        return new Known(names.size(), known, several);
    }
}
