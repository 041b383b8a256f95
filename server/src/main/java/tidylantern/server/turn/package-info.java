/** Whose turn it is when more is asked than can be answered at once, and who still waits for it. */
@NullMarked
package tidylantern.server.turn;

import org.jspecify.annotations.NullMarked;
