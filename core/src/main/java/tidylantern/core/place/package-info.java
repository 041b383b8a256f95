/** Places by their names: those of the world that a gazetteer knows. */
@NullMarked
package tidylantern.core.place;

import org.jspecify.annotations.NullMarked;
