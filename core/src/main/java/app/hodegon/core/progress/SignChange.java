package app.hodegon.core.progress;

import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.diagnosis.Sign;
import java.util.Comparator;
import java.util.List;

/**
 * A sign that was looked for at two moments.
 *
 * @param then whether it was seen at the earlier one
 * @param now whether it is seen at the later one
 */
public record SignChange(Sign sign, boolean then, boolean now) {

    /** What is gone first, then what is new, then what stayed; signs seen at neither are left out. */
    public static List<SignChange> of(Observations then, Observations now) {
        return then.signs().entrySet().stream()
                .filter(e -> now.signs().containsKey(e.getKey()))
                .map(e -> new SignChange(e.getKey(), e.getValue(), now.signs().get(e.getKey())))
                .filter(c -> c.then || c.now)
                .sorted(Comparator.comparingInt(SignChange::order).thenComparing(SignChange::sign))
                .toList();
    }

    private int order() {
        return then && !now ? 0 : now && !then ? 1 : 2;
    }
}
