package app.hodegon.core.approach;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.SchoolComparison.Kind;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SchoolComparisonTest {

    private static Reading share(Checkpoint at, double value, Source source) {
        return new Reading(Measure.TRAIL_SHARE, Optional.of(at), value, source, 1);
    }

    private static SchoolComparison compare(Reading reading, PressureSchool other) {
        return SchoolComparison.of(List.of(reading), PressureSchool.EARLY_RETURN, other, Repeatability.ASSUMED)
                .get(0);
    }

    @ParameterizedTest
    @CsvSource({
        "TOP, 80, FULL_LOAD, DIFFERENCE_OF_SCHOOL",
        "TOP, 50, CENTRED, WITHIN",
        "TOP, 80, CENTRED, OUTSIDE_BOTH",
        "TOP, 95, FULL_LOAD, FAULT_IN_EVERY_SCHOOL",
        "TOP, 30, FULL_LOAD, FAULT_IN_EVERY_SCHOOL",
        "ARM_DOWN, 60, FULL_LOAD, FAULT_IN_EVERY_SCHOOL",
        "ARM_DOWN, 48, FULL_LOAD, DIFFERENCE_OF_SCHOOL",
        "IMPACT, 28, FULL_LOAD, OUTSIDE_BOTH",
        "IMPACT, 34, FULL_LOAD, FAULT_IN_EVERY_SCHOOL",
        "FINISH, 12, CENTRED, FAULT_IN_EVERY_SCHOOL"
    })
    void tellsAFaultFromADifferenceOfSchool(Checkpoint at, double value, PressureSchool other, Kind kind) {
        assertThat(compare(share(at, value, Source.PLATE), other).kind()).isEqualTo(kind);
    }

    @Test
    void saysHowFarOutsideAndWhetherTheSourceCanTell() {
        SchoolComparison plate = compare(share(Checkpoint.TOP, 66, Source.PLATE), PressureSchool.FULL_LOAD);
        assertThat(plate.beyond()).isEqualTo(6);
        assertThat(plate.told()).isTrue();
        assertThat(compare(share(Checkpoint.TOP, 66, Source.SEEN), PressureSchool.FULL_LOAD)
                        .told())
                .isFalse();
        assertThat(compare(share(Checkpoint.TOP, 30, Source.PLATE), PressureSchool.FULL_LOAD)
                        .beyond())
                .isEqualTo(-10);
    }

    @Test
    void goesInTheOrderOfTheSwingAndKeepsToTheTrailShare() {
        List<Reading> readings = List.of(
                share(Checkpoint.FINISH, 5, Source.SEEN),
                share(Checkpoint.TOP, 55, Source.SEEN),
                new Reading(Measure.TRAIL_TOE, Optional.of(Checkpoint.TOP), 50, Source.SEEN, 1));
        assertThat(SchoolComparison.of(
                        readings, PressureSchool.CENTRED, PressureSchool.FULL_LOAD, Repeatability.ASSUMED))
                .extracting(c -> c.reading().at().orElseThrow())
                .containsExactly(Checkpoint.TOP, Checkpoint.FINISH);
    }
}
