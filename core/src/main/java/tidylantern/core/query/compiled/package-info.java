/** What of a search no query changes: its reach, words, pins, tiers, filters and cards, taken apart once. */
@NullMarked
package tidylantern.core.query.compiled;

import org.jspecify.annotations.NullMarked;
