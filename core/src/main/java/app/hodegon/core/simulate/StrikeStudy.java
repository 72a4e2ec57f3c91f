package app.hodegon.core.simulate;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.practice.Aside;
import app.hodegon.core.practice.Attention;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.practice.Told;
import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Club;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;

/**
 * A year of balls of students whose strike stays as it is, but for the form of the day, looked at every day; and of others
 * whose strike falls from one day on.
 */
public final class StrikeStudy {

    private static final LocalDate BEGIN = LocalDate.of(2026, 1, 5);
    private static final int DAYS_WITH_BALLS = 150;
    private static final int BALLS = 20;

    /** The window that the list looks at, in days with balls. */
    private static final int SEEN = 40;

    /** Spread of the day's form, in log-odds. */
    private static final double WAVER = 0.45;

    private static final double FALLEN_TO = 0.4;
    private static final int FALLS_AFTER = 20;

    private final int students;
    private final Random random;

    public StrikeStudy(int students, long seed) {
        this.students = students;
        this.random = new Random(seed);
    }

    /**
     * @param alarms a student and year on level play; said on two days, it counts twice
     * @param found share of the falls found within four days with balls
     */
    public record Result(double alarms, double found) {}

    public Result run() {
        int alarms = 0;
        int found = 0;
        for (int student = 0; student < students; student++) {
            double usual = 0.55 + 0.35 * random.nextDouble();
            List<PracticeSession> year = new ArrayList<>();
            for (int day = 0; day < DAYS_WITH_BALLS; day++) {
                year.add(day(day, usual));
                if (falls(year)) alarms++;
            }
            List<PracticeSession> falling = new ArrayList<>(year.subList(0, FALLS_AFTER));
            boolean seen = false;
            for (int day = 0; day < 4; day++) {
                falling.add(day(FALLS_AFTER + day, Math.min(usual, FALLEN_TO)));
                seen |= falls(falling);
            }
            if (seen) found++;
        }
        return new Result((double) alarms / students, (double) found / students);
    }

    private PracticeSession day(int day, double usual) {
        double form = Math.log(usual / (1 - usual)) + WAVER * random.nextGaussian();
        double solid = 1 / (1 + Math.exp(-form));
        List<Ball> balls = new ArrayList<>();
        for (int ball = 0; ball < BALLS; ball++) {
            BallResult strike = random.nextDouble() < solid ? BallResult.SOLID : BallResult.THIN;
            balls.add(new Ball(Optional.empty(), Optional.of(strike)));
        }
        Told told = new Told(List.of(), List.of(), Optional.of(Club.WEDGE), balls, List.of());
        BlockResult block = new BlockResult(
                0,
                Fault.SWAY,
                "disc-turn",
                Rung.SHORT,
                Plan.Kind.MAIN,
                "o".repeat(BALLS),
                Form.RANGE,
                Optional.empty(),
                told,
                Optional.<Aside>empty());
        return PracticeSession.of(new UUID(day, random.nextLong()), BEGIN.plusDays(2L * day), List.of(block));
    }

    private static boolean falls(List<PracticeSession> practice) {
        List<PracticeSession> seen = practice.subList(Math.max(0, practice.size() - SEEN), practice.size());
        return Attention.of(Attention.Situation.of(seen, Map.of())).stream()
                .anyMatch(a -> a.kind() == Attention.Kind.STRIKE);
    }
}
