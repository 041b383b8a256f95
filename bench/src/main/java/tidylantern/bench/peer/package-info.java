/** What somebody could search with instead, doing the same work over the same texts. */
@NullMarked
package tidylantern.bench.peer;

import org.jspecify.annotations.NullMarked;
