/** What owners changed by hand, in one list, and taking it back within 30 days. */
@NullMarked
package tidylantern.server.history;

import org.jspecify.annotations.NullMarked;
