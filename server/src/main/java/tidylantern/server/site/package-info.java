/** The sites of this installation, and which other origins may ask their searches. */
@NullMarked
package tidylantern.server.site;

import org.jspecify.annotations.NullMarked;
