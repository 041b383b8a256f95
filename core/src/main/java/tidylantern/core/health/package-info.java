/**
 * What is wrong with a site's content, and what that does to a search. {@link HealthCheck} walks over the items once;
 * it knows nothing of storage or of how a search is designed. Start at {@link HealthCheck}.
 */
@NullMarked
package tidylantern.core.health;

import org.jspecify.annotations.NullMarked;
