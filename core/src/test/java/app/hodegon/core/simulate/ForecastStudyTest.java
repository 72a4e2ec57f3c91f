package app.hodegon.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("study")
class ForecastStudyTest {

    @Test
    void whatIsGivenSeventyPercentHappensAboutSeventyTimesInAHundred() {
        Reliability reliability = new ForecastStudy(300, 3).run();
        for (int tenth = 0; tenth < Reliability.TENTHS; tenth++) {
            int cases = reliability.cases()[tenth];
            if (cases < 40) continue;
            double noise = 3 * Math.sqrt(0.25 / cases);
            assertThat(reliability.happened()[tenth])
                    .as(cases + " cases in tenth " + tenth)
                    .isCloseTo(reliability.given()[tenth], within(0.05 + noise));
        }
    }
}
