/** What a draft can be made of, what it comes to beside the items of its site, and how it answers its owner. */
@NullMarked
package tidylantern.server.draft;

import org.jspecify.annotations.NullMarked;
