/**
 * Queries that must go well, kept with what is expected of them, and what becomes of them under a draft and a live
 * design.
 */
@NullMarked
package tidylantern.core.trial;

import org.jspecify.annotations.NullMarked;
