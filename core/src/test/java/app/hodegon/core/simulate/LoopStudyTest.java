package app.hodegon.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.simulate.LoopStudy.Result;
import app.hodegon.core.simulate.LoopStudy.Share;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What never happens in a season, whoever the student is; how often the rest does is written in docs/loop.md. */
class LoopStudyTest {

    @Test
    void whatIsSaidHolds() {
        Result result = new LoopStudy(10, 3, true).run();
        List<String> never = LoopStudy.COUNTED.subList(0, 4);
        for (String what : never) {
            assertThat(result.counts().getOrDefault(what, new Share(0, 0)).hits())
                    .as(what)
                    .isZero();
        }
        assertThat(result.counts().get(never.get(0)).of()).as("days practised").isGreaterThan(150);
        Share conflicts = result.counts().get(LoopStudy.COUNTED.get(4));
        assertThat(conflicts.hits()).as("followed").isEqualTo(conflicts.of()).isPositive();
        assertThat(result.proposals()).hasSizeGreaterThan(3);
    }
}
