package app.hodegon.core.motion;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TraceColumnsTest {

    @Test
    void twoFeetWithTheirTimeAndUnit() {
        TraceColumns columns =
                TraceColumns.guess(List.of("Frame", "Time (ms)", "Left [kg]", "Right [kg]", "CoP left x"));
        assertThat(columns.time()).hasValue(1);
        assertThat(columns.perSecond()).isEqualTo(1000);
        assertThat(columns.unit()).isEqualTo(LoadUnit.KILOGRAM);
        assertThat(columns.channels()).isEqualTo(Map.of("left", 2, "right", 3));
    }

    @Test
    void eightQuartersHoweverTheyAreCalled() {
        TraceColumns columns = TraceColumns.guess(List.of(
                "L_toe_medial_N",
                "L_toe_lateral_N",
                "L_heel_medial_N",
                "L_heel_lateral_N",
                "R_toe_medial_N",
                "R_toe_lateral_N",
                "R_heel_medial_N",
                "R_heel_lateral_N"));
        assertThat(columns.time()).isEmpty();
        assertThat(columns.unit()).isEqualTo(LoadUnit.NEWTON);
        assertThat(columns.channels()).hasSize(8).containsEntry("right-back-outer", 7);
        assertThat(columns.channels()).containsEntry("left-front-inner", 0);
    }

    @Test
    void whatIsNotUnderstoodIsLeftToTheCoach() {
        assertThat(TraceColumns.guess(List.of("a", "b", "c")).channels()).isEmpty();
        assertThat(TraceColumns.guess(List.of("left", "left", "other")).channels())
                .isEmpty();
        assertThat(TraceColumns.guess(List.of("ms", "L", "R")).perSecond()).isEqualTo(1000);
        assertThat(TraceColumns.guess(List.of("t", "lf (lbs)", "rf (lbs)")).unit())
                .isEqualTo(LoadUnit.POUND);
    }
}
