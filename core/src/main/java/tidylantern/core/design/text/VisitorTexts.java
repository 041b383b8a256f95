package tidylantern.core.design.text;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tidylantern.core.design.DesignFault;

/**
 * In which language visitors are spoken to, and what is worded otherwise than it comes.
 *
 * @param language for everybody; null for that of the page that the elements stand on
 * @param fallback where the page's language is none of ours, or it says none; null for that of what is searched
 * @param reworded none twice for one text and language
 * @param labels none twice for one label and language
 */
public record VisitorTexts(
        @Nullable Language language, @Nullable Language fallback, List<Reworded> reworded, List<WordedLabel> labels) {
    public static final int MOST = 1000;

    public VisitorTexts {
        reworded = List.copyOf(reworded);
        labels = List.copyOf(labels);
        DesignFault.unless(
                reworded.size() <= MOST, "reworded", "%d texts are too many; %d are the most", reworded.size(), MOST);
        DesignFault.unless(
                labels.size() <= MOST, "labels", "%d labels are too many; %d are the most", labels.size(), MOST);
        DesignFault.ifTwice(reworded.stream().map(Reworded::key).toList(), "reworded", "the text");
        DesignFault.ifTwice(labels.stream().map(WordedLabel::key).toList(), "labels", "the label");
    }

    /** All as it comes, in the language of the page. */
    public static VisitorTexts asTheyCome() {
        return new VisitorTexts(null, null, List.of(), List.of());
    }

    /**
     * In which language somebody is answered.
     *
     * @param texts the language of the texts
     * @param formats by which numbers, days and money are written; of the same language, with the region that was asked
     *     for, or of what is searched, where nobody says another
     */
    public record Spoken(Language texts, Locale formats) {}

    /**
     * @param asked the tags of BCP 47 that were asked for, the most wanted first; mostly the page's own
     * @param content of what is searched
     */
    public Spoken spoken(List<Locale> asked, Locale content) {
        for (Locale tag : asked) {
            Optional<Language> known = Language.of(tag);
            if (known.isPresent() && (language == null || language == known.get())) {
                return new Spoken(known.get(), tag);
            }
        }
        Language otherwise = language != null ? language : fallback;
        return otherwise != null
                ? new Spoken(otherwise, otherwise.locale())
                : new Spoken(Language.of(content).orElse(Language.EN), content);
    }

    /**
     * What visitors read for a label.
     *
     * @param label where it stands in the design
     * @param usual as the owner has it there
     */
    public String worded(Language spoken, String label, String usual) {
        for (WordedLabel one : labels) {
            if (one.language() == spoken && one.label().equals(label)) {
                return one.wording();
            }
        }
        return usual;
    }

    /** What is worded otherwise in a language. */
    public List<Reworded> reworded(Language spoken) {
        return reworded.stream().filter(one -> one.language() == spoken).toList();
    }
}
