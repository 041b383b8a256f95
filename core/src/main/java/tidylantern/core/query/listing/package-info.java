/** Items as their owner lists them, whatever searches find. */
@NullMarked
package tidylantern.core.query.listing;

import org.jspecify.annotations.NullMarked;
