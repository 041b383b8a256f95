package tidylantern.server.traffic;

import java.util.HashMap;
import java.util.Map;

/** Counts what each client, and all together, have under way, and says no beyond a number. */
final class Shares {
    private final int mostOfOne;
    private final int mostOfAll;
    private final Map<String, Integer> byClient = new HashMap<>();
    private int all;

    Shares(int mostOfOne, int mostOfAll) {
        this.mostOfOne = mostOfOne;
        this.mostOfAll = mostOfAll;
    }

    /** Takes one for a client, to be {@linkplain #giveBack given back}; false if it has its share, or all are taken. */
    synchronized boolean take(String client) {
        int has = byClient.getOrDefault(client, 0);
        if (has >= mostOfOne || all >= mostOfAll) {
            return false;
        }
        byClient.put(client, has + 1);
        all++;
        return true;
    }

    synchronized void giveBack(String client) {
        byClient.computeIfPresent(client, (key, has) -> has > 1 ? has - 1 : null);
        all--;
    }
}
