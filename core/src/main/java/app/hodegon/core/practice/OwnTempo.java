package app.hodegon.core.practice;

import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import java.util.List;
import java.util.Optional;

/**
 * The times to which a student's beat is set.
 *
 * @param backswing ms
 * @param downswing ms
 * @param own whether any of it was measured with this student
 */
public record OwnTempo(int backswing, int downswing, boolean own) {

    /** A usual swing, near three to one; a working assumption of the product. */
    public static final OwnTempo USUAL = new OwnTempo(840, 280, false);

    /** From both times as last read, else from the ratio with a usual downswing, else a usual one. */
    public static OwnTempo of(List<Reading> readings) {
        Optional<Double> back = last(readings, Measure.BACKSWING_TIME);
        Optional<Double> down = last(readings, Measure.DOWNSWING_TIME);
        if (back.isPresent() && down.isPresent()) return measured(back.get(), down.get());
        return last(readings, Measure.TEMPO_RATIO)
                .map(ratio -> measured(USUAL.downswing * ratio, USUAL.downswing))
                .orElse(USUAL);
    }

    private static OwnTempo measured(double back, double down) {
        return new OwnTempo((int) Math.round(back), (int) Math.round(down), true);
    }

    private static Optional<Double> last(List<Reading> readings, Measure measure) {
        return readings.stream()
                .filter(r -> r.measure() == measure && r.value() > 0)
                .map(Reading::value)
                .reduce((earlier, later) -> later);
    }
}
