/** What stands on a result, and how its parts stand and are written. */
@NullMarked
package tidylantern.core.design.card;

import org.jspecify.annotations.NullMarked;
