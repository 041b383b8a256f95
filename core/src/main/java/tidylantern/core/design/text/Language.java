package tidylantern.core.design.text;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** A language that visitors are spoken to in. */
public enum Language {
    EN("English"),
    DE("Deutsch"),
    FR("Français"),
    ES("Español"),
    NL("Nederlands");

    private final String called;

    Language(String called) {
        this.called = called;
    }

    /** Its name in itself. */
    public String called() {
        return called;
    }

    public Locale locale() {
        return Locale.forLanguageTag(toString());
    }

    /** The one of a tag of BCP 47, whatever region or script it names. */
    public static Optional<Language> of(Locale tag) {
        return Arrays.stream(values())
                .filter(one -> one.toString().equals(tag.getLanguage()))
                .findFirst();
    }

    /** Its code, by ISO 639-1. */
    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }
}
