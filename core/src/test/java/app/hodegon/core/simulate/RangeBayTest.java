package app.hodegon.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.plan.Level;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.simulate.RangeBay.Club;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class RangeBayTest {

    private static double mean(List<Shot> shots, ShotFigure figure) {
        return shots.stream()
                .mapToDouble(s -> s.figure(figure).orElseThrow())
                .average()
                .orElseThrow();
    }

    @Test
    void theSameSeedHitsTheSameBalls() {
        assertThat(new RangeBay(3).hit(Level.CLUB, Map.of(), Club.DRIVER, 8))
                .isEqualTo(new RangeBay(3).hit(Level.CLUB, Map.of(), Club.DRIVER, 8))
                .hasSize(8);
    }

    @Test
    void aSliceMissesToTheTrailSideAndBetterPlayersCarryFurther() {
        Map<Fault, Double> steep = Map.of(Fault.OVER_THE_TOP, 1.0);
        List<Shot> sliced = new RangeBay(1).hit(Level.IMPROVER, steep, Club.SEVEN_IRON, 300);
        List<Shot> sound = new RangeBay(1).hit(Level.IMPROVER, Map.of(), Club.SEVEN_IRON, 300);
        List<Shot> scratch = new RangeBay(1).hit(Level.SCRATCH, Map.of(), Club.SEVEN_IRON, 300);
        assertThat(mean(sliced, ShotFigure.OFFLINE)).isGreaterThan(mean(sound, ShotFigure.OFFLINE) + 8);
        assertThat(mean(scratch, ShotFigure.CARRY)).isGreaterThan(mean(sound, ShotFigure.CARRY) + 20);
    }
}
