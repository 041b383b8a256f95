/** Where visitors are, or look for things around, and the names of places that items have. */
@NullMarked
package tidylantern.core.query.place;

import org.jspecify.annotations.NullMarked;
