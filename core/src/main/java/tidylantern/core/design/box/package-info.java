/** How visitors meet the search box: how it opens, what stands in it, what it wears, where it leads. */
@NullMarked
package tidylantern.core.design.box;

import org.jspecify.annotations.NullMarked;
