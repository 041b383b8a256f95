package tidylantern.core.design;

import java.util.LinkedHashMap;
import java.util.Map;
import tidylantern.core.design.box.BoxButton;
import tidylantern.core.design.box.BoxDress;
import tidylantern.core.design.box.BoxSizes;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.results.Layout;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.PopularCategories;
import tidylantern.core.design.results.ResultsPage;

/** The numbers of the box, live results and the page of a design, and between which ends each may be. */
public final class DesignLimits {
    private DesignLimits() {}

    /** By their paths in a design; those of a box on narrow pages are those on wide ones. */
    public static Map<String, Limit> byPath() {
        Map<String, Limit> limits = new LinkedHashMap<>();
        limits.put("box.narrowUpTo", SearchBox.NARROW_UP_TO);
        limits.put("box.wide.button.size", BoxButton.SIZE);
        BoxSizes.LIMITS.forEach((key, limit) -> limits.put("box.dress.sizes." + key, limit));
        limits.put("box.dress.angle", BoxDress.ANGLE);
        limits.put("box.dress.over.spacing", BoxDress.OverPage.SPACING);
        limits.put("live.most", LiveList.MOST);
        limits.put("live.first", LiveList.MOST);
        limits.put("live.asking.from", LiveList.Asking.FROM);
        limits.put("live.asking.pause", LiveList.Asking.PAUSE);
        limits.put("live.form.columns", LiveList.LiveForm.COLUMNS);
        limits.put("live.form.gap", LiveList.LiveForm.GAP);
        limits.put("live.form.width", LiveList.LiveForm.WIDTH);
        limits.put("live.form.height", LiveList.LiveForm.HEIGHT);
        limits.put("page.perPage", ResultsPage.PER_PAGE);
        limits.put("page.layout.columns", Layout.COLUMNS);
        limits.put("page.most", ResultsPage.MOST);
        limits.put("page.shows.popular.most", PopularCategories.MOST);
        return limits;
    }
}
