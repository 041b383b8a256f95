/**
 * Where a collection's items come from: files, feeds and crawls of the site; how they are previewed, mapped and synced.
 * A source is read to its end into a spool of items first ({@link Syncs}), and only then taken by the same intake as a
 * push, in one transaction. Whatever is asked over the network goes through {@link WebFetcher}. Start at
 * {@link SourceSettings} and {@link SourceReaders}.
 */
@NullMarked
package tidylantern.server.source;

import org.jspecify.annotations.NullMarked;
