package tidylantern.core.design.look;

import java.util.Locale;

/** What a colour of a look is for. Its name in style sheets is its own: {@code --accent-text}. */
public enum ColourToken {
    /** Links, buttons, what is chosen. */
    ACCENT("Links and buttons"),
    TEXT("Text"),
    /** Numbers and hints too. */
    QUIET("Second lines"),
    /** Of what stands on a ground of its own: cards, the box, the list under it, fields. */
    GROUND("Cards, fields, lists"),
    /** Where the elements bring their own ground. */
    AROUND("Around everything"),
    MARK("Behind words found"),
    ACCENT_TEXT("Text on buttons"),
    /** Of what can be typed in or pressed. */
    EDGE("Edges of fields"),
    /** They part things; nobody needs to see them. */
    LINE("Hairlines"),
    FOCUS("Around what has the keyboard"),
    /** Where no look says, a breath of the accent on the ground. */
    HOVER("Behind what is pointed at");

    private final String called;

    ColourToken(String called) {
        this.called = called;
    }

    /** What owners know it by. */
    public String called() {
        return called;
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
