package tidylantern.server.operation;

import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Set;

/**
 * Which failures say that a connection leads nowhere any more, since the database has shut itself. Named in the pool's
 * settings.
 */
public final class ShutDatabase implements SQLExceptionOverride {
    // H2's codes, from org.h2.api.ErrorCode: GENERAL_ERROR_1 (a failed write among others), DATABASE_IS_CLOSED,
    // DATABASE_CALLED_AT_SHUTDOWN, OBJECT_CLOSED, IO_EXCEPTION_1 and _2.
    private static final Set<Integer> SHUT = Set.of(50000, 90098, 90121, 90007, 90028, 90031);

    @java.lang.Override
    public Override adjudicate(SQLException failure) {
        return SHUT.contains(failure.getErrorCode()) ? Override.MUST_EVICT : Override.CONTINUE_EVICT;
    }
}
