/**
 * Collections, their fields and items: where they are kept, how they are changed, and the index that follows. How items
 * come in stands in {@code intake}.
 */
@NullMarked
package tidylantern.server.content;

import org.jspecify.annotations.NullMarked;
