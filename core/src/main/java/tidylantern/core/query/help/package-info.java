/** Ways on from a query: how to go on with a word, other spellings, related queries and items. */
@NullMarked
package tidylantern.core.query.help;

import org.jspecify.annotations.NullMarked;
