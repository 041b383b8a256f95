package tidylantern.core.content;

import static tidylantern.core.content.Require.require;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What an owner adds to one item by hand. It belongs to the item's id, not to what a source says, so it stays through
 * every sync.
 *
 * @param keptOut whether no search of the site finds the item
 * @param keywords words by which it is found too, as if they stood in its title; shown nowhere; may be empty
 * @param title shown and searched in place of the source's; null for that one
 * @param summary in place of the source's; null for that one
 * @param image address of a picture in place of the source's; null for that one
 * @param imageAlternative what that picture shows; null where nobody says
 */
public record OwnerMark(
        boolean keptOut,
        String keywords,
        @Nullable String title,
        @Nullable String summary,
        @Nullable String image,
        @Nullable String imageAlternative) {
    public static final OwnerMark NONE = new OwnerMark(false, "", null, null, null, null);
    private static final int LONGEST = 2_000;

    public OwnerMark {
        keywords = keywords == null ? "" : ItemReader.clean(keywords.strip());
        title = tidy(title);
        summary = tidy(summary);
        image = tidy(image);
        imageAlternative = image == null ? null : tidy(imageAlternative);
        require(
                keywords.length() <= LONGEST,
                "the keywords have %d characters; %d are the most",
                keywords.length(),
                LONGEST);
        require(title == null || title.length() <= LONGEST, "the title is longer than %d characters", LONGEST);
        require(summary == null || summary.length() <= LONGEST, "the summary is longer than %d characters", LONGEST);
        if (image != null) {
            Addresses.require(image);
        }
    }

    private static @Nullable String tidy(@Nullable String text) {
        return text == null || text.isBlank() ? null : ItemReader.clean(text.strip());
    }

    public boolean saysNothing() {
        return equals(NONE);
    }

    public OwnerMark withKeptOut(boolean out) {
        return new OwnerMark(out, keywords, title, summary, image, imageAlternative);
    }

    /** The item as visitors get it: what the owner wrote in place of what the source says. */
    public Item over(Item item) {
        Map<FieldKey, FieldValue> values = new LinkedHashMap<>(item.values());
        if (title != null) {
            values.put(FieldKey.TITLE, new FieldValue.Text(title));
        }
        if (summary != null) {
            values.put(FieldKey.SUMMARY, new FieldValue.Text(summary));
        }
        if (image != null) {
            values.put(FieldKey.IMAGE, new FieldValue.Image(image, imageAlternative));
        }
        return new Item(item.ref(), values);
    }
}
