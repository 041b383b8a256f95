package tidylantern.core.readiness;

/**
 * A page of the site on which elements of a search were met.
 *
 * @param address without query and fragment
 * @param list whether results are listed on it
 */
public record CarryingPage(String address, boolean box, boolean list) {}
