/** The public face of a search: answers for the elements, and the hosted results page that needs no script. */
@NullMarked
package tidylantern.server.visitor;

import org.jspecify.annotations.NullMarked;
