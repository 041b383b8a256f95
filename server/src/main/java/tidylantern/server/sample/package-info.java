/** A site to try things with: the made-up Quillhaven Isles, whose pages come from the service itself. */
@NullMarked
package tidylantern.server.sample;

import org.jspecify.annotations.NullMarked;
