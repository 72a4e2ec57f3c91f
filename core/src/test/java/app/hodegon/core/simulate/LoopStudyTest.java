package app.hodegon.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.simulate.LoopStudy.Counted;
import app.hodegon.core.simulate.LoopStudy.Result;
import app.hodegon.core.simulate.LoopStudy.Share;
import java.util.EnumSet;
import org.junit.jupiter.api.Test;

/** What never happens in a season, whoever the student is; how often the rest does is written in docs/loop.md. */
class LoopStudyTest {

    @Test
    void whatIsSaidHolds() {
        Result result = new LoopStudy(10, 3, true).run();
        for (Counted what : EnumSet.range(Counted.ABOVE_AN_OPEN_GATE, Counted.ANOTHER_TWICE)) {
            assertThat(result.counts().getOrDefault(what, new Share(0, 0)).hits())
                    .as(what.label())
                    .isZero();
        }
        assertThat(result.counts().get(Counted.ABOVE_AN_OPEN_GATE).of())
                .as("days practised")
                .isGreaterThan(150);
        Share conflicts = result.counts().get(Counted.CONFLICT_FOLLOWED);
        assertThat(conflicts.hits()).as("followed").isEqualTo(conflicts.of()).isPositive();
        assertThat(result.proposals()).hasSizeGreaterThan(3);
    }
}
