/**
 * Reads files, feeds and pages into records of loose values, one after another ({@link Reading}). Whatever is asked
 * over the network goes through {@link WebFetcher}. Start at {@link SourceSettings}, which says where a source is and
 * how it is read.
 */
@NullMarked
package tidylantern.server.source.reading;

import org.jspecify.annotations.NullMarked;
