package tidylantern.server.access;

import java.time.OffsetDateTime;
import tidylantern.server.site.Role;

/**
 * Somebody may become this at a site.
 *
 * @param until when its link works no more
 */
record Invitation(long id, Role role, OffsetDateTime made, String by, OffsetDateTime until) {}
