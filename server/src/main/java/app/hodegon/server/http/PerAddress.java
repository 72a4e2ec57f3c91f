package app.hodegon.server.http;

import java.util.HashMap;
import java.util.Map;

/** Counts what each address has under way, up to a number. */
final class PerAddress {

    private final int most;
    private final Map<String, Integer> underWay = new HashMap<>();

    PerAddress(int most) {
        this.most = most;
    }

    /** Whether one more may begin; then it has to end. */
    synchronized boolean begin(String address) {
        if (underWay.getOrDefault(address, 0) >= most) return false;
        underWay.merge(address, 1, Integer::sum);
        return true;
    }

    synchronized void end(String address) {
        underWay.computeIfPresent(address, (a, count) -> count == 1 ? null : count - 1);
    }
}
