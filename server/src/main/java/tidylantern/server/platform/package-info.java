/**
 * What every feature leans on: refusals as problem details, the pool that answers run on, JSON, security, the API's
 * description.
 */
@NullMarked
package tidylantern.server.platform;

import org.jspecify.annotations.NullMarked;
