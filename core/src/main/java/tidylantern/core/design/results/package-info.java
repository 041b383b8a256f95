/** How visitors meet results: live results while they type, and the page of all of them. */
@NullMarked
package tidylantern.core.design.results;

import org.jspecify.annotations.NullMarked;
