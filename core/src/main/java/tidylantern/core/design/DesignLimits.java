package tidylantern.core.design;

import java.util.LinkedHashMap;
import java.util.Map;
import tidylantern.core.design.box.BoxButton;
import tidylantern.core.design.box.BoxDress;
import tidylantern.core.design.box.BoxSizes;
import tidylantern.core.design.box.SearchBox;
import tidylantern.core.design.card.ButtonPart;
import tidylantern.core.design.card.ExcerptPart;
import tidylantern.core.design.card.TitlePart;
import tidylantern.core.design.card.ValuePart;
import tidylantern.core.design.filter.FilterLimits;
import tidylantern.core.design.look.LookForm;
import tidylantern.core.design.look.LookType;
import tidylantern.core.design.results.Layout;
import tidylantern.core.design.results.LiveList;
import tidylantern.core.design.results.PopularCategories;
import tidylantern.core.design.results.ResultsPage;
import tidylantern.core.design.text.Reworded;
import tidylantern.core.design.text.WordedLabel;

/**
 * Between which ends what an owner writes into a design may be: numbers, lengths of texts, and how many of a list. What
 * a form offers is asked for here, so that no other place knows it.
 */
public final class DesignLimits {
    private final Map<String, Limit> limits = new LinkedHashMap<>();

    private DesignLimits() {}

    /**
     * By their paths in a design. Entries of a list stand without their place ({@code ranking.tiers.name}), parts of
     * cards under their kind ({@code appearance.cards.title.lines}); those of a box on narrow pages are those on wide
     * ones.
     */
    public static Map<String, Limit> byPath() {
        DesignLimits all = new DesignLimits();
        all.text("name", 1, SearchDesign.LONGEST_NAME);
        all.words();
        FilterLimits.byPath().forEach((path, limit) -> all.limits.put("filters." + path, limit));
        all.ranking();
        all.box();
        all.live();
        all.page();
        all.cards();
        all.limits.put("appearance.look.form.corners", new Limit(0, LookForm.ROUNDEST));
        all.limits.put("appearance.look.type.size", new Limit(LookType.SMALLEST, LookType.LARGEST));
        all.text("appearance.texts.reworded.forms", 1, Reworded.LONGEST);
        all.text("appearance.texts.labels.wording", 1, WordedLabel.LONGEST);
        return all.limits;
    }

    private void text(String path, int shortest, int longest) {
        limits.put(path, new Limit(shortest, longest));
    }

    private void words() {
        limits.put("words.matching.fewestLetters", Words.Matching.FEWEST_LETTERS);
        limits.put("words.weights.weight", new Limit(0, (int) FieldWeight.MOST));
        limits.put("words.excerpt.words", Words.Excerpt.WORDS);
        limits.put("words.excerpt.wordsBefore", Words.Excerpt.BEFORE);
    }

    private void ranking() {
        text("ranking.order.label", 0, ResultOrder.LONGEST_LABEL);
        limits.put("ranking.order.mostFeatured", ResultOrder.FEATURED);
        limits.put("ranking.order.withWords", new Limit(1, ResultOrder.MOST_KEYS));
        limits.put("ranking.order.choices", new Limit(0, ResultOrder.MOST_CHOICES));
        text("ranking.order.choices.label", 1, ResultOrder.LONGEST_LABEL);
        limits.put("ranking.tiers", new Limit(0, Ranking.MOST_TIERS));
        text("ranking.tiers.name", 1, Tier.LONGEST_NAME);
        text("ranking.tiers.disclosure", 0, Tier.LONGEST_DISCLOSURE);
        limits.put("ranking.tiers.lift.most", new Limit(1, Tier.Lift.MOST));
        limits.put("ranking.tiers.lift.mostLive", new Limit(0, Tier.Lift.MOST));
        limits.put("ranking.tiers.looks.corners", new Limit(0, TierLooks.ROUNDEST));
        text("ranking.tiers.looks.ribbon.text", 1, TierLooks.Ribbon.LONGEST);
        limits.put("ranking.pins.put.at", new Limit(1, Pin.Put.LAST));
    }

    private void box() {
        limits.put("places.box.narrowUpTo", SearchBox.NARROW_UP_TO);
        limits.put("places.box.wide.button.size", BoxButton.SIZE);
        BoxSizes.LIMITS.forEach((key, limit) -> limits.put("places.box.dress.sizes." + key, limit));
        limits.put("places.box.dress.angle", BoxDress.ANGLE);
        limits.put("places.box.dress.over.spacing", BoxDress.OverPage.SPACING);
    }

    private void live() {
        limits.put("places.live.most", LiveList.MOST);
        limits.put("places.live.first", LiveList.MOST);
        limits.put("places.live.asking.from", LiveList.Asking.FROM);
        limits.put("places.live.asking.pause", LiveList.Asking.PAUSE);
        limits.put("places.live.form.columns", LiveList.LiveForm.COLUMNS);
        limits.put("places.live.form.gap", LiveList.LiveForm.GAP);
        limits.put("places.live.form.width", LiveList.LiveForm.WIDTH);
        limits.put("places.live.form.height", LiveList.LiveForm.HEIGHT);
    }

    private void page() {
        limits.put("places.page.perPage", ResultsPage.PER_PAGE);
        limits.put("places.page.layout.columns", Layout.COLUMNS);
        limits.put("places.page.most", ResultsPage.MOST);
        limits.put("places.page.shows.popular.most", PopularCategories.MOST);
    }

    private void cards() {
        limits.put("appearance.cards.frame.corners", new Limit(0, LookForm.ROUNDEST));
        limits.put("appearance.cards.title.lines", new Limit(1, TitlePart.MOST_LINES));
        limits.put("appearance.cards.excerpt.lines", new Limit(1, ExcerptPart.MOST_LINES));
        text("appearance.cards.value.before", 0, ValuePart.LONGEST);
        text("appearance.cards.value.after", 0, ValuePart.LONGEST);
        text("appearance.cards.button.text", 1, ButtonPart.LONGEST);
    }
}
