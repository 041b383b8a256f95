/**
 * Takes a site's set-up, without its items, from one installation to another: collections and fields, sources, what
 * owners added to items, and the searches. Items go by export and push, or come from the sources again.
 */
@NullMarked
package tidylantern.server.transfer;

import org.jspecify.annotations.NullMarked;
