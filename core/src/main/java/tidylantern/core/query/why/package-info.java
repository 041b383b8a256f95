/** Why a query finds an item where it does, or why it does not. */
@NullMarked
package tidylantern.core.query.why;

import org.jspecify.annotations.NullMarked;
