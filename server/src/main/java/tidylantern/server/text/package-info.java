/**
 * What visitors read, from the one home of its wording that their elements have, too: {@code texts/} beside the
 * modules.
 */
@NullMarked
package tidylantern.server.text;

import org.jspecify.annotations.NullMarked;
