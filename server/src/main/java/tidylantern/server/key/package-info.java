/** What sites, searches and sources are called by in addresses, tags, code and tables. */
@NullMarked
package tidylantern.server.key;

import org.jspecify.annotations.NullMarked;
