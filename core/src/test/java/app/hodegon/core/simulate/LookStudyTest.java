package app.hodegon.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.simulate.LookStudy.Result;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The study of docs/next-looks.md on fewer students. */
@Tag("study")
class LookStudyTest {

    @Test
    void nextLooksWinAndProbabilitiesAreWhatTheySay() {
        List<Result> results = new LookStudy(300, 8, 7).run();
        Result looks = results.get(0);
        for (Result other : results.subList(1, results.size())) {
            assertThat(looks.upstreamFirst()).isGreaterThan(other.upstreamFirst() + 0.1);
            assertThat(looks.firstIsTrue()).isGreaterThan(other.firstIsTrue());
            assertThat(looks.brier()).isLessThan(other.brier());
        }
        for (Result result : results) {
            for (int tenth = 0; tenth < 10; tenth++) {
                if (result.reliability().cases()[tenth] < 100) continue;
                double noise = 3 * Math.sqrt(0.25 / result.reliability().cases()[tenth]);
                assertThat(result.reliability().happened()[tenth])
                        .isCloseTo(result.reliability().given()[tenth], within(noise));
            }
        }
    }
}
