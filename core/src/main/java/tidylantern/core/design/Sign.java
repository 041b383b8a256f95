package tidylantern.core.design;

import java.util.Locale;

/**
 * A general sign that can stand for a collection, or on the button of a search box. How each is drawn belongs to those
 * who draw.
 */
public enum Sign {
    PAGE("Page"),
    NEWS("Newspaper"),
    BOOK("Book"),
    PICTURE("Picture"),
    FILM("Film"),
    SOUND("Sound"),
    HOUSE("House"),
    BED("Bed"),
    KEY("Key"),
    SHOP("Shop"),
    TOOLS("Tools"),
    BRUSH("Brush"),
    PERSON("Person"),
    PEOPLE("People"),
    POT("Pot"),
    PLATE("Plate"),
    CUP("Cup"),
    LEAF("Leaf"),
    TREE("Tree"),
    PAW("Paw"),
    BOAT("Boat"),
    WALKER("Walker"),
    CYCLE("Cycle"),
    COACH("Coach"),
    MOUNTAIN("Mountain"),
    SUN("Sun"),
    CALENDAR("Calendar"),
    CLOCK("Clock"),
    PLACE("Place on a map"),
    TAG("Price tag"),
    TICKET("Ticket"),
    BRIEFCASE("Briefcase"),
    STAR("Star"),
    QUESTION("Question"),
    MAGNIFIER("Magnifying glass"),
    MAGNIFIER_LINES("Magnifying glass on a list"),
    BINOCULARS("Binoculars"),
    COMPASS("Compass"),
    LAMP("Lamp"),
    ARROW("Arrow"),
    EYE("Eye");

    private final String called;

    Sign(String called) {
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
