/** Trials of a search: kept, read from a table, and run on draft and live version. */
@NullMarked
package tidylantern.server.trial;

import org.jspecify.annotations.NullMarked;
