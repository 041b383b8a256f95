/**
 * What a site says: collections, the fields of their items, and the items. Owns how loose values become typed ones
 * ({@link ItemReader}) and how a field's kind is guessed ({@link KindGuess}). Knows nothing of storage, search or
 * screens. Start at {@link Item} and {@link Collection}.
 */
@NullMarked
package tidylantern.core.content;

import org.jspecify.annotations.NullMarked;
