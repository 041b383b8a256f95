/** Searches: the draft that is being changed, the versions visitors saw, and publishing. */
@NullMarked
package tidylantern.server.design;

import org.jspecify.annotations.NullMarked;
