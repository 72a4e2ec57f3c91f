package app.hodegon.core.golfer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A golfer moves as was measured. */
class OwnSwingTest {

    private static final Golfer SOUND = golfer(Map.of());

    private static Golfer golfer(Map<Fault, Double> faults) {
        return new Golfer(Handedness.RIGHT, 178, PressureSchool.FULL_LOAD, faults, Pace.USUAL);
    }

    private static Reading reading(Measure measure, Checkpoint at, double value, Source source) {
        return new Reading(measure, Optional.ofNullable(at), value, source, 3);
    }

    private static double side(Performance swing, Checkpoint at) {
        return swing.value(Coordinate.PELVIS_SIDE, swing.seconds(at));
    }

    @ParameterizedTest
    @EnumSource(Fault.class)
    void whatIsTrueOfASwingIsSeenAgain(Fault fault) {
        GolfSwing swing = golfer(Map.of(fault, 0.8)).swing();
        List<Reading> readings = new ArrayList<>();
        for (Measure measure : Measure.values()) {
            if (Gauge.of(measure).isEmpty()) continue;
            for (Checkpoint at : List.of(Checkpoint.ARM_BACK, Checkpoint.TOP, Checkpoint.IMPACT)) {
                double truth = swing.truth(measure, Optional.of(at)).orElseThrow();
                readings.add(new Reading(measure, Optional.of(at), truth, source(measure), 3));
            }
        }
        Performance own = OwnSwing.of(SOUND, readings);
        for (Reading reading : readings) {
            Checkpoint at = reading.at().orElseThrow();
            Gauge gauge = Gauge.of(reading.measure()).orElseThrow();
            // The two that read the hip line differ where a fault turns it at address.
            if (reading.measure() == Measure.HIP_LINE) continue;
            double read = gauge.read(own.value(gauge.what(), own.seconds(at)), own.value(gauge.what(), 0));
            assertThat(read).as(reading.toString()).isCloseTo(reading.value(), within(1e-6));
        }
    }

    private static Source source(Measure measure) {
        return switch (measure.quantity()) {
            case SHARE -> Source.PLATE;
            default -> Source.CLIP;
        };
    }

    @Test
    void whatWasNotMeasuredIsAsTheSchoolHasIt() {
        Performance sound = Performance.of(SOUND, Movement.SWING);
        Performance own = OwnSwing.of(SOUND, List.of(reading(Measure.PELVIS_DRIFT, Checkpoint.TOP, 9, Source.CLIP)));
        assertThat(side(own, Checkpoint.TOP)).isCloseTo(9, within(1e-6));
        for (Checkpoint at : List.of(Checkpoint.ADDRESS, Checkpoint.FINISH)) {
            assertThat(side(own, at)).as(at.id()).isCloseTo(side(sound, at), within(1e-6));
        }
        // On the way there a part of it, the more the nearer.
        double early = side(own, Checkpoint.HIP_BACK) - side(sound, Checkpoint.HIP_BACK);
        double late = side(own, Checkpoint.ARM_BACK) - side(sound, Checkpoint.ARM_BACK);
        assertThat(early).isBetween(1.0, late);
        assertThat(late).isLessThan(9 - side(sound, Checkpoint.TOP));
        double head = own.value(Coordinate.HEAD_SIDE, own.seconds(Checkpoint.TOP));
        assertThat(head).isCloseTo(sound.value(Coordinate.HEAD_SIDE, sound.seconds(Checkpoint.TOP)), within(1e-9));
    }

    @Test
    void theHarderSourceAndTheMeasuredTimesCount() {
        Performance own = OwnSwing.of(
                SOUND,
                List.of(
                        reading(Measure.PELVIS_DRIFT, Checkpoint.TOP, 6, Source.CLIP),
                        reading(Measure.PELVIS_DRIFT, Checkpoint.TOP, 12, Source.SEEN),
                        reading(Measure.BACKSWING_TIME, null, 1000, Source.CLIP),
                        reading(Measure.DOWNSWING_TIME, null, 250, Source.CLIP)));
        assertThat(side(own, Checkpoint.TOP)).isCloseTo(6, within(1e-6));
        assertThat(own.seconds(Checkpoint.TOP) - own.seconds(Checkpoint.TRIGGER))
                .isCloseTo(1, within(1e-9));
        assertThat(own.seconds(Checkpoint.IMPACT) - own.seconds(Checkpoint.TOP)).isCloseTo(0.25, within(1e-9));
    }

    @Test
    void aHipTurnStartsFromTheHipLineThatWasMeasured() {
        Performance own = OwnSwing.of(
                SOUND,
                List.of(
                        reading(Measure.HIP_TURN, Checkpoint.TOP, 40, Source.CLIP),
                        reading(Measure.HIP_LINE, Checkpoint.ADDRESS, 10, Source.SEEN)));
        assertThat(own.value(Coordinate.HIP_LINE, 0)).isCloseTo(-10, within(1e-6));
        assertThat(own.value(Coordinate.HIP_LINE, own.seconds(Checkpoint.TOP))).isCloseTo(30, within(1e-6));
    }
}
