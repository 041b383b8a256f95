/** What is open in a search before it goes live, and after. */
@NullMarked
package tidylantern.server.readiness;

import org.jspecify.annotations.NullMarked;
