/**
 * An answer as it goes out: asked of the one engine in its turn, and written once for whoever reads it, in the language
 * that was asked for and with what the search wears.
 */
@NullMarked
package tidylantern.server.answer;

import org.jspecify.annotations.NullMarked;
