package tidylantern.core.design;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A design document says something that cannot hold. */
public final class DesignFault extends IllegalArgumentException {
    private final String key;

    /**
     * @param key the key at fault, as a path from the part that refused: {@code weights[2].weight}
     * @param reason what is wrong and what to do
     */
    public DesignFault(String key, String reason) {
        super(reason);
        this.key = key;
    }

    public String key() {
        return key;
    }

    /** @throws DesignFault with the message, unless {@code holds} */
    public static void unless(boolean holds, String key, String message, @Nullable Object... values) {
        if (!holds) {
            throw new DesignFault(key, message.formatted(values));
        }
    }

    /** Refuses a list that holds one thing twice, naming the second place. */
    public static void ifTwice(List<?> values, String list, String what) {
        Set<Object> seen = new HashSet<>();
        for (int i = 0; i < values.size(); i++) {
            unless(
                    seen.add(values.get(i)),
                    "%s[%d]".formatted(list, i),
                    "%s \"%s\" stands twice; take one away",
                    what,
                    values.get(i));
        }
    }
}
