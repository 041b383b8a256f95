/** Deleting sites, collections, sources and searches, and bringing them back within 30 days. */
@NullMarked
package tidylantern.server.deletion;

import org.jspecify.annotations.NullMarked;
