/** What the elements wear: colours, type and form as tokens, ready looks to begin from, and the contrasts to keep. */
@NullMarked
package tidylantern.core.design.look;

import org.jspecify.annotations.NullMarked;
