/** Who may change things: owners with a password, and named access keys for scripts. */
@NullMarked
package tidylantern.server.account;

import org.jspecify.annotations.NullMarked;
