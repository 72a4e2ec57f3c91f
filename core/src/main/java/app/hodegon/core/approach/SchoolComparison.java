package app.hodegon.core.approach;

import app.hodegon.core.approach.PressureSchool.Corridor;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * A trail share against the coach's school and a second one: is it a fault, or only a difference of school?
 *
 * @param beyond how far it lies outside the coach's corridor, %; positive above, negative below, 0 within
 * @param told whether it lies outside by more than the source's noise: 1.96·SEM/√swings
 */
public record SchoolComparison(Reading reading, Kind kind, double beyond, boolean told) {

    /** What a reading means across schools. */
    public enum Kind implements Identified {
        /** Within both corridors. */
        WITHIN("within"),
        /** Within one of the two corridors only. */
        DIFFERENCE_OF_SCHOOL("difference-of-school"),
        /** Outside both, yet another school would want it. */
        OUTSIDE_BOTH("outside-both"),
        /** No school wants it. */
        FAULT_IN_EVERY_SCHOOL("fault-in-every-school");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    private static final double Z95 = 1.96;

    /** The trail share no school goes above, %; where nothing is listed, the schools' own corridors decide. */
    private static final Map<Checkpoint, Double> AGREED_MOST =
            Map.of(Checkpoint.ARM_DOWN, 52.0, Checkpoint.IMPACT, 30.0, Checkpoint.FINISH, 10.0);

    /** Every trail share at a checkpoint among these readings, in the order of the swing. */
    public static List<SchoolComparison> of(
            List<Reading> readings, PressureSchool own, PressureSchool other, Repeatability repeatability) {
        return readings.stream()
                .filter(r -> r.measure() == Measure.TRAIL_SHARE)
                .sorted((a, b) -> a.at().orElseThrow().compareTo(b.at().orElseThrow()))
                .map(r -> of(r, own, other, repeatability))
                .toList();
    }

    private static SchoolComparison of(
            Reading reading, PressureSchool own, PressureSchool other, Repeatability repeatability) {
        Checkpoint at = reading.at().orElseThrow();
        double beyond = own.corridor(at).beyond(reading.value());
        double noise = Z95 * repeatability.sem(reading).orElse(0) / Math.sqrt(reading.swings());
        return new SchoolComparison(reading, kind(at, reading.value(), own, other), beyond, Math.abs(beyond) > noise);
    }

    private static Kind kind(Checkpoint at, double share, PressureSchool own, PressureSchool other) {
        boolean inOwn = own.corridor(at).beyond(share) == 0;
        boolean inOther = other.corridor(at).beyond(share) == 0;
        if (inOwn && inOther) return Kind.WITHIN;
        if (inOwn || inOther) return Kind.DIFFERENCE_OF_SCHOOL;
        double least = corridors(at).mapToDouble(Corridor::low).min().orElseThrow();
        double most = AGREED_MOST.getOrDefault(
                at, corridors(at).mapToDouble(Corridor::high).max().orElseThrow());
        return share < least || share > most ? Kind.FAULT_IN_EVERY_SCHOOL : Kind.OUTSIDE_BOTH;
    }

    private static Stream<Corridor> corridors(Checkpoint at) {
        return Arrays.stream(PressureSchool.values()).map(s -> s.corridor(at));
    }
}
