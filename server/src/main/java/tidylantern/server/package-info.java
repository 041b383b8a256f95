/**
 * The service, a package a feature: each with its HTTP face and its store. A feature reaches another only through its
 * public types; SQL stands in classes named {@code …Store} alone. The rules of the job are not here but in
 * {@code core}.
 */
@NullMarked
package tidylantern.server;

import org.jspecify.annotations.NullMarked;
