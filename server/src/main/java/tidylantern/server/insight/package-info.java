/** What visitors look for. */
@NullMarked
package tidylantern.server.insight;

import org.jspecify.annotations.NullMarked;
