/** Collections, their fields and items: how they come in, where they are kept, and the index that follows. */
@NullMarked
package tidylantern.server.content;

import org.jspecify.annotations.NullMarked;
