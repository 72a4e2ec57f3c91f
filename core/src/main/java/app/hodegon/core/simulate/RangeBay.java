package app.hodegon.core.simulate;

import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Showing;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.plan.Level;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.swing.BallResult;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;

/**
 * Stands in for a range bay that counts balls: what a student of this level would hit with these faults. The figures are
 * assumed, for trying things out; nothing is learnt of a real student from them.
 */
public final class RangeBay {

    /** A club of the bay: how far it carries against a seven iron, and how much further its balls scatter. */
    public enum Club {
        SEVEN_IRON("7 iron", 1, 1),
        WEDGE("wedge", 0.65, 0.7),
        DRIVER("driver", 1.5, 1.7);

        private final String label;
        private final double length;
        private final double scatter;

        Club(String label, double length, double scatter) {
            this.label = label;
            this.length = length;
            this.scatter = scatter;
        }

        public String label() {
            return label;
        }
    }

    /** Carry with a seven iron, m, and how far the balls lie about: assumed. */
    private record Standard(double carry, double scatter, double aside) {}

    private static final Map<Level, Standard> STANDARDS = Map.of(
            Level.BEGINNER, new Standard(95, 18, 17),
            Level.IMPROVER, new Standard(115, 13, 13),
            Level.CLUB, new Standard(132, 9, 9),
            Level.SCRATCH, new Standard(152, 6, 6));

    /** A full slice misses by so much of its carry. */
    private static final double CURVE = 0.22;

    private static final double LOST_CARRY = 0.15;

    /** Ball speed, m/s, for a metre of carry: near enough at these lengths. */
    private static final double BALL_SPEED_PER_CARRY = 0.36;

    private static final double SMASH = 1.36;

    private final Random random;

    public RangeBay(long seed) {
        random = new Random(seed);
    }

    /**
     * Some balls.
     *
     * @param faults how far each fault is there, 0 to 1
     */
    public List<Shot> hit(Level level, Map<Fault, Double> faults, Club club, int balls) {
        Standard standard = STANDARDS.get(level);
        double slice = chance(faults, new Showing.OfBalls(BallResult.SLICE));
        double hook = chance(faults, new Showing.OfBalls(BallResult.HOOK));
        double fat = chance(faults, new Showing.OfBalls(BallResult.FAT));
        double lost = chance(faults, new Showing.OfSign(Sign.LOSES_DISTANCE));
        List<Shot> shots = new ArrayList<>();
        for (int i = 0; i < balls; i++) {
            double length = standard.carry() * club.length * (1 - LOST_CARRY * lost);
            double carry = length + random.nextGaussian() * standard.scatter() * club.scatter;
            if (random.nextDouble() < 0.4 * fat) carry *= 0.7;
            double aside = random.nextGaussian() * standard.aside() * club.scatter;
            if (random.nextDouble() < slice) aside += CURVE * length;
            else if (random.nextDouble() < hook) aside -= CURVE * length;
            double ballSpeed = Math.max(10, carry * BALL_SPEED_PER_CARRY + random.nextGaussian());
            shots.add(new Shot(
                    club.label,
                    tenths(Math.max(2, carry)),
                    tenths(aside),
                    tenths(ballSpeed),
                    tenths(Math.max(8, ballSpeed / SMASH + random.nextGaussian() * 0.6))));
        }
        return List.copyOf(shots);
    }

    private static double chance(Map<Fault, Double> faults, Showing showing) {
        double not = 1;
        for (Map.Entry<Fault, Double> by : Catalogue.standard().shownBy(showing).entrySet()) {
            not *= 1 - by.getValue() * faults.getOrDefault(by.getKey(), 0.0);
        }
        return 1 - not;
    }

    private static OptionalDouble tenths(double value) {
        return OptionalDouble.of(Math.round(value * 10) / 10.0);
    }
}
