/**
 * Where a collection's items come from: which sources there are, how they are previewed, mapped and synced. A source is
 * read to its end into a spool of items first ({@link Syncs}), and only then taken by the same intake as a push, in one
 * transaction. How each kind of source is read stands in {@code reading}. Start at {@link Sources} and
 * {@link SourceReaders}.
 */
@NullMarked
package tidylantern.server.source;

import org.jspecify.annotations.NullMarked;
