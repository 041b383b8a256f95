/**
 * What a query means: its words, the ways in which items may hold them, slips, operators, and the pins that it brings
 * into play.
 */
@NullMarked
package tidylantern.core.query.words;

import org.jspecify.annotations.NullMarked;
