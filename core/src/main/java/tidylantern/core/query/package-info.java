/**
 * Answers a visitor's query under a design: what is found, in which order, and what of it is shown. Live results, the
 * results page, the stage and the page without script all come from here. Start at {@link SearchEngine}; how one word
 * finds words of items is {@link WordMatch}'s, what is shown of a text {@link Excerpts}'s.
 */
@NullMarked
package tidylantern.core.query;

import org.jspecify.annotations.NullMarked;
