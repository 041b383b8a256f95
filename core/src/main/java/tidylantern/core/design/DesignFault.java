package tidylantern.core.design;

import java.util.List;

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

    static void unless(boolean holds, String key, String message, Object... values) {
        if (!holds) {
            throw new DesignFault(key, message.formatted(values));
        }
    }

    /** Refuses a list that holds one thing twice, naming the second place. */
    static void ifTwice(List<?> values, String list, String what) {
        for (int i = 0; i < values.size(); i++) {
            unless(values.indexOf(values.get(i)) == i, "%s[%d]".formatted(list, i), "%s \"%s\" stands twice; take one away", what, values.get(i));
        }
    }
}
