package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.progress.Distance.Where;
import org.junit.jupiter.api.Test;

class DistanceTest {

    private static Distance of(double value, double half) {
        return Distance.of(new Estimate(value, value - half, value + half), 40, 60);
    }

    @Test
    void isTheWayToTheNearerEdge() {
        assertThat(of(72, 5)).isEqualTo(new Distance(12, Where.OUTSIDE));
        assertThat(of(33, 5)).isEqualTo(new Distance(-7, Where.OUTSIDE));
        assertThat(of(50, 5)).isEqualTo(new Distance(0, Where.INSIDE));
    }

    @Test
    void aWideIntervalLeavesOpenOnWhichSideOfTheEdgeTheValueLies() {
        assertThat(of(50, 15)).isEqualTo(new Distance(0, Where.ACROSS));
        assertThat(of(63, 5)).isEqualTo(new Distance(3, Where.ACROSS));
    }
}
