package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The tempo ratio worked out from the times where nobody read it. */
final class Tempo {

    private static final Set<Measure> TIMES = Set.of(Measure.BACKSWING_TIME, Measure.DOWNSWING_TIME);

    private Tempo() {}

    /**
     * The readings with the ratio in place of the two times it rests on: what they say together is said once. Times of
     * different sources make no ratio.
     */
    static List<Reading> workedOut(List<Reading> readings) {
        boolean read = readings.stream().anyMatch(r -> r.measure() == Measure.TEMPO_RATIO);
        Optional<Reading> ratio = read ? Optional.empty() : ratio(readings);
        if (!read && ratio.isEmpty()) return readings;
        List<Reading> all = new ArrayList<>(
                readings.stream().filter(r -> !TIMES.contains(r.measure())).toList());
        ratio.ifPresent(all::add);
        return all;
    }

    /** Backswing over downswing, from times of one source. */
    static Optional<Reading> ratio(List<Reading> readings) {
        for (Reading back : readings) {
            for (Reading down : readings) {
                if (back.measure() == Measure.BACKSWING_TIME
                        && down.measure() == Measure.DOWNSWING_TIME
                        && back.source() == down.source()
                        && back.value() > 0
                        && down.value() > 0) {
                    return Optional.of(new Reading(
                                    Measure.TEMPO_RATIO,
                                    Optional.empty(),
                                    1,
                                    back.source(),
                                    Math.min(back.swings(), down.swings()))
                            .at(back.value() / down.value()));
                }
            }
        }
        return Optional.empty();
    }
}
