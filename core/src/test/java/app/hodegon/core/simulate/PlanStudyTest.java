package app.hodegon.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.drill.Rung;
import app.hodegon.core.simulate.PlanStudy.Result;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The study of docs/planner.md on fewer students. */
@Tag("study")
class PlanStudyTest {

    @Test
    void thePlannersClimbBeatsEveryPlainAlternative() {
        List<Result> results = new PlanStudy(150, 28, 9).run();
        Result planned = results.get(0);
        for (Result other : results.subList(1, results.size())) {
            assertThat(planned.gates()).as(other.way().label()).isGreaterThan(other.gates() + 0.3);
        }
        assertThat(planned.through().get(Rung.FEEL))
                .isGreaterThan(planned.through().get(Rung.SHORT));
        assertThat(new PlanStudy(20, 28, 9).run().toString())
                .isEqualTo(new PlanStudy(20, 28, 9).run().toString());
    }
}
