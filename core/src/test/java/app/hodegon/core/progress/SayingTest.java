package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.progress.Comparison.Count;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

class SayingTest {

    private static String slices(int then, int now, int of) {
        return Saying.of(
                then + " of " + of,
                now + " of " + of,
                Comparison.ofCounts(new Count(then, of), new Count(now, of), Better.LOWER),
                "balls");
    }

    @Test
    void saysWhatCanBeTold() {
        assertThat(slices(18, 4, 20)).isEqualTo("From 18 of 20 to 4 of 20: better, and by more than chance.");
        assertThat(slices(4, 18, 20)).contains("worse").contains("look at why");
        assertThat(slices(6, 4, 10)).matches("From 6 of 10 to 4 of 10: this could be chance\\. \\d+ more balls .*");
        assertThat(slices(5, 5, 10)).endsWith("no change that could be told from chance.");
    }

    /** Seven values with mean 20 and deviation 4: 20 ± 2.447·4/√7 (any table of t with 6 degrees of freedom). */
    @Test
    void theMeanOfValuesHasStudentsInterval() {
        Estimate estimate = Estimate.ofMean(20, 4, 7);
        Assertions.assertThat(estimate.high()).isCloseTo(23.70, Assertions.within(0.005));
        Assertions.assertThat(estimate.low()).isCloseTo(16.30, Assertions.within(0.005));
    }
}
