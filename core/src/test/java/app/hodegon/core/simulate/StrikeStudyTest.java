package app.hodegon.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class StrikeStudyTest {

    @Test
    void onLevelPlayItIsFalselySaidAtMostOnceAYearAndARealFallIsFound() {
        StrikeStudy.Result result = new StrikeStudy(60, 5).run();
        assertThat(result.alarms()).isLessThan(1);
        assertThat(result.found()).isGreaterThan(0.5);
    }
}
