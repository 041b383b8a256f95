/**
 * Whether a search has arrived on a page: what the page holds, held against what it should. Start at
 * {@link EmbeddingCheck}.
 */
@NullMarked
package tidylantern.core.embedding;

import org.jspecify.annotations.NullMarked;
