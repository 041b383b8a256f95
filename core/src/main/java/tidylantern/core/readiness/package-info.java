/** What is open in a search before, and after, it goes live. */
@NullMarked
package tidylantern.core.readiness;

import org.jspecify.annotations.NullMarked;
