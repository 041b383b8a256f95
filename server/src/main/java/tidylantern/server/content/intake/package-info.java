/**
 * Takes items in, from a push or a sync, one line after another and all or nothing: reads each line, makes room for new
 * fields, lays what is said over what is there, removes what is not named any more, and tells what became of all that.
 * Start at {@link ItemIntake}.
 */
@NullMarked
package tidylantern.server.content.intake;

import org.jspecify.annotations.NullMarked;
