/** In which order results stand: sort keys, tiers, turns, pins and distance. */
@NullMarked
package tidylantern.core.query.order;

import org.jspecify.annotations.NullMarked;
