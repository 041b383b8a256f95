/**
 * What an operator watches and does: room on the disk, copies of the database, and what happens when the database is
 * not what it was. Start at {@link Standby}.
 */
@NullMarked
package tidylantern.server.operation;

import org.jspecify.annotations.NullMarked;
