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
     * By their paths in a design. Entries of a list stand without their place ({@code tiers.name}), parts of cards
     * under their kind ({@code cards.title.lines}); those of a box on narrow pages are those on wide ones.
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
        all.limits.put("look.form.corners", new Limit(0, LookForm.ROUNDEST));
        all.limits.put("look.type.size", new Limit(LookType.SMALLEST, LookType.LARGEST));
        all.text("texts.reworded.forms", 1, Reworded.LONGEST);
        all.text("texts.labels.wording", 1, WordedLabel.LONGEST);
        return all.limits;
    }

    private void text(String path, int shortest, int longest) {
        limits.put(path, new Limit(shortest, longest));
    }

    private void words() {
        limits.put("words.fewestLetters", Words.FEWEST_LETTERS);
        limits.put("words.weights.weight", new Limit(0, (int) FieldWeight.MOST));
        limits.put("words.excerpt.words", Words.Excerpt.WORDS);
        limits.put("words.excerpt.wordsBefore", Words.Excerpt.BEFORE);
    }

    private void ranking() {
        text("order.label", 0, ResultOrder.LONGEST_LABEL);
        limits.put("order.mostFeatured", ResultOrder.FEATURED);
        limits.put("order.withWords", new Limit(1, ResultOrder.MOST_KEYS));
        limits.put("order.choices", new Limit(0, ResultOrder.MOST_CHOICES));
        text("order.choices.label", 1, ResultOrder.LONGEST_LABEL);
        limits.put("tiers", new Limit(0, SearchDesign.MOST_TIERS));
        text("tiers.name", 1, Tier.LONGEST_NAME);
        text("tiers.disclosure", 0, Tier.LONGEST_DISCLOSURE);
        limits.put("tiers.lift.most", new Limit(1, Tier.Lift.MOST));
        limits.put("tiers.lift.mostLive", new Limit(0, Tier.Lift.MOST));
        limits.put("tiers.looks.corners", new Limit(0, TierLooks.ROUNDEST));
        text("tiers.looks.ribbon.text", 1, TierLooks.Ribbon.LONGEST);
        limits.put("pins.put.at", new Limit(1, Pin.Put.LAST));
    }

    private void box() {
        limits.put("box.narrowUpTo", SearchBox.NARROW_UP_TO);
        limits.put("box.wide.button.size", BoxButton.SIZE);
        BoxSizes.LIMITS.forEach((key, limit) -> limits.put("box.dress.sizes." + key, limit));
        limits.put("box.dress.angle", BoxDress.ANGLE);
        limits.put("box.dress.over.spacing", BoxDress.OverPage.SPACING);
    }

    private void live() {
        limits.put("live.most", LiveList.MOST);
        limits.put("live.first", LiveList.MOST);
        limits.put("live.asking.from", LiveList.Asking.FROM);
        limits.put("live.asking.pause", LiveList.Asking.PAUSE);
        limits.put("live.form.columns", LiveList.LiveForm.COLUMNS);
        limits.put("live.form.gap", LiveList.LiveForm.GAP);
        limits.put("live.form.width", LiveList.LiveForm.WIDTH);
        limits.put("live.form.height", LiveList.LiveForm.HEIGHT);
    }

    private void page() {
        limits.put("page.perPage", ResultsPage.PER_PAGE);
        limits.put("page.layout.columns", Layout.COLUMNS);
        limits.put("page.most", ResultsPage.MOST);
        limits.put("page.shows.popular.most", PopularCategories.MOST);
    }

    private void cards() {
        limits.put("cards.frame.corners", new Limit(0, LookForm.ROUNDEST));
        limits.put("cards.title.lines", new Limit(1, TitlePart.MOST_LINES));
        limits.put("cards.excerpt.lines", new Limit(1, ExcerptPart.MOST_LINES));
        text("cards.value.before", 0, ValuePart.LONGEST);
        text("cards.value.after", 0, ValuePart.LONGEST);
        text("cards.button.text", 1, ButtonPart.LONGEST);
    }
}
