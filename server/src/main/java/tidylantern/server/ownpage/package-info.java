/** Looks at pages of the owner's own site: what stands on them, and what they look like. */
@NullMarked
package tidylantern.server.ownpage;

import org.jspecify.annotations.NullMarked;
