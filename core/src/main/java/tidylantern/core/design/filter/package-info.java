/**
 * Filters: what visitors narrow by. {@link tidylantern.core.design.filter.Filter} is one of them; where its values come
 * from, and so what it can be handled with and set to, its {@link tidylantern.core.design.filter.FilterSource} says.
 */
@NullMarked
package tidylantern.core.design.filter;

import org.jspecify.annotations.NullMarked;
