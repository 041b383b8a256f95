/**
 * What may arrive, how much of it, how fast and from how many at once: connections, requests and their bodies. A body
 * is read before anybody works with it, without holding a thread, so that a slow sender keeps nobody waiting. Start at
 * {@link BodyIntake}.
 */
@NullMarked
package tidylantern.server.traffic;

import org.jspecify.annotations.NullMarked;
