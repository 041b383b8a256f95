package tidylantern.core.design.text;

import tidylantern.core.design.DesignFault;

/**
 * A label of the owner's in one language: what visitors with that language read in its place.
 *
 * @param label where it stands in the design: {@code filters.price.label}; those there are: {@link DesignLabels}
 */
public record WordedLabel(Language language, String label, String wording) {
    public static final int LONGEST = 200;

    public WordedLabel {
        DesignFault.unless(!label.isEmpty(), "label", "say which label is meant");
        wording = wording.strip();
        DesignFault.unless(!wording.isEmpty(), "wording", "a label cannot be empty; take its wording away");
        DesignFault.unless(
                wording.length() <= LONGEST,
                "wording",
                "a label of %d characters fits nowhere; %d are the most",
                wording.length(),
                LONGEST);
        DesignFault.unless(wording.chars().noneMatch(Character::isISOControl), "wording", "a label is one line");
    }

    /** What tells it from others. */
    public String key() {
        return language + "." + label;
    }
}
