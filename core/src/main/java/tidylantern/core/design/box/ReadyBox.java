package tidylantern.core.design.box;

import java.util.Locale;
import tidylantern.core.design.Sign;
import tidylantern.core.design.look.ColourToken;

/** A complete search box of ours to begin from. It keeps what the owner's has chosen to search in and leads to. */
public enum ReadyBox {
    /** A magnifying glass behind the words. */
    PLAIN("Plain", "A field with a sign"),
    /** A word on a filled button. */
    WORDED("With a word", "The button says what it does"),
    /** Large, with a heading, for the middle of a page. */
    GREETING("Greeting", "Large, under a heading of its own"),
    /** Low, the sign before the words, for a header. */
    SLIM("Slim", "Low, for a header"),
    /** A sign in a header that opens over the page. */
    SIGN_ONLY("From a sign", "Opens over the page"),
    /** No button, no corners, on the ground of the page. */
    QUIET("Quiet", "No button; Enter asks");

    private final String called;
    private final String tells;

    ReadyBox(String called, String tells) {
        this.called = called;
        this.tells = tells;
    }

    /** What owners know it by. */
    public String called() {
        return called;
    }

    /** What it is, in a few words. */
    public String tells() {
        return tells;
    }

    /** The owner's box in this form. */
    public SearchBox of(SearchBox owners) {
        BoxArrangement wide = arrangement();
        BoxArrangement narrow = this == SLIM ? wide.opening(Opening.OVER) : null;
        return new SearchBox(wide, narrow, owners.narrowUpTo(), owners.chooser(), owners.leads(), dress());
    }

    private BoxArrangement arrangement() {
        return switch (this) {
            case PLAIN -> BoxArrangement.usual();
            case WORDED -> with(Opening.ALWAYS, false, BoxButton.Shows.WORD, BoxButton.Side.END);
            case GREETING -> with(Opening.ALWAYS, true, BoxButton.Shows.BOTH, BoxButton.Side.END);
            case SLIM -> with(Opening.ALWAYS, false, BoxButton.Shows.SIGN, BoxButton.Side.START);
            case SIGN_ONLY -> with(Opening.OVER, true, BoxButton.Shows.SIGN, BoxButton.Side.END);
            case QUIET -> with(Opening.ALWAYS, false, BoxButton.Shows.NO_BUTTON, BoxButton.Side.START);
        };
    }

    private static BoxArrangement with(Opening opening, boolean heading, BoxButton.Shows shows, BoxButton.Side side) {
        return new BoxArrangement(
                opening,
                heading,
                false,
                true,
                new BoxButton(shows, side, Sign.MAGNIFIER, 20),
                BoxArrangement.Clear.INSIDE);
    }

    private BoxDress dress() {
        BoxSizes sizes =
                switch (this) {
                    case PLAIN, WORDED, SIGN_ONLY -> BoxSizes.asLook();
                    case GREETING -> new BoxSizes(720, 60, 20, 8, null, null, 19);
                    case SLIM -> new BoxSizes(null, 38, 10, 0, null, 1, 15);
                    case QUIET -> new BoxSizes(null, 44, 4, 0, 0, null, null);
                };
        BoxColours rest =
                this == QUIET ? new BoxColours(Paint.of(ColourToken.AROUND), null, null, null) : BoxColours.asLook();
        return new BoxDress(
                sizes, BoxType.asLook(), 90, rest, BoxColours.asLook(), BoxColours.asLook(), BoxDress.OverPage.usual());
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
