/** Filters in a query: what is set, whom that lets through, and how many items each value has. */
@NullMarked
package tidylantern.core.query.filter;

import org.jspecify.annotations.NullMarked;
