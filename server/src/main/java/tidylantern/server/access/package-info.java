/** Who may do what: people of sites with their roles, invitations, and the one place that lets requests through. */
@NullMarked
package tidylantern.server.access;

import org.jspecify.annotations.NullMarked;
