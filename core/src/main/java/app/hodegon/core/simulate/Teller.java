package app.hodegon.core.simulate;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.Notice;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.RoundPlayed;
import app.hodegon.core.practice.SelfCheck;
import app.hodegon.core.practice.Told;
import app.hodegon.core.practice.Tried;
import app.hodegon.core.practice.Turn;
import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.SwingLength;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;

/**
 * What a simulated student tells of a block: balls, what was noticed, how fast it was. Draws from a source of its own, so
 * that what is told changes nobody's story.
 */
final class Teller {

    /** A set in which most was good is noticed as such about as often. */
    private static final double MOSTLY_GOOD = 0.6;

    private static final double NOTICED_ARIGHT = 0.85;
    private static final int ASKED_SWINGS = 5;
    private static final double SEES_THE_SAME = 0.5;
    private static final int TRIED_BALLS = 8;

    /** Standard error of a share that is felt, %. */
    private static final double FELT_ERROR = 12;

    private static final Map<Rung, Club> CLUBS = Map.of(
            Rung.SHORT, Club.WEDGE,
            Rung.BUILD, Club.SHORT_IRON,
            Rung.FULL, Club.MIDDLE_IRON,
            Rung.TRANSFER, Club.DRIVER);

    private final Random random;
    private final Bay bay;

    Teller(Random random, Bay bay) {
        this.random = random;
        this.bay = bay;
    }

    /**
     * @param showing how strongly each true fault shows on the day
     */
    Told told(Block block, Drill drill, String marks, Map<Fault, Double> showing) {
        List<String> noticed = new ArrayList<>();
        List<Integer> speeds = new ArrayList<>();
        for (int from = 0; from < marks.length(); from += block.repsPerSet()) {
            String set = marks.substring(from, Math.min(marks.length(), from + block.repsPerSet()));
            double good = (double) set.chars().filter(c -> c == '+').count() / set.length();
            noticed.add(drill.notice().map(n -> noticed(n, good)).orElse(""));
            speeds.add(Math.max(10, Math.min(100, block.speed() + 10 * (int) Math.round(random.nextGaussian()))));
        }
        List<Ball> balls = new ArrayList<>();
        for (int ball = 0; ball < block.balls(); ball++) balls.add(bay.ball(showing));
        return new Told(
                drill.notice().isPresent() ? noticed : List.of(),
                speeds,
                balls.isEmpty() ? Optional.empty() : Optional.of(CLUBS.get(block.rung())),
                balls,
                turns(marks));
    }

    /** A drill tried in the lesson, with a few balls and some swings that both were asked about. */
    Tried tried(Drill drill, Map<Fault, Double> showing) {
        List<Tried.Pair> same = new ArrayList<>();
        drill.notice().ifPresent(notice -> {
            for (int swing = 0; swing < ASKED_SWINGS; swing++) {
                String coach = noticed(notice, random.nextDouble());
                same.add(new Tried.Pair(random.nextDouble() < SEES_THE_SAME ? coach : noticed(notice, 1), coach));
            }
        });
        return new Tried(
                Optional.of(drill.id()),
                "",
                Optional.of(Club.WEDGE),
                Optional.of(SwingLength.WAIST),
                bay.few(showing, TRIED_BALLS),
                List.of(),
                same);
    }

    /** What is said of a round: the further it is learned, the more of it is there. */
    List<RoundPlayed> round(String name, LocalDate on, double learned, double keen) {
        if (random.nextDouble() > keen) return List.of();
        int thought = ofTen(0.3 + 0.5 * learned);
        RoundPlayed.Cost[] costs = RoundPlayed.Cost.values();
        return List.of(new RoundPlayed(
                UUID.nameUUIDFromBytes((name + "round" + on).getBytes(StandardCharsets.UTF_8)),
                on,
                thought,
                Math.min(thought, ofTen(0.2 + 0.5 * learned)),
                costs[random.nextInt(costs.length)]));
    }

    private int ofTen(double share) {
        return (int) Math.max(0, Math.min(RoundPlayed.OF, Math.round(RoundPlayed.OF * share + random.nextGaussian())));
    }

    /** What the feet felt at home: near what was read in the lesson, as well as feet feel. */
    List<SelfCheck> felt(String name, LocalDate on, Observations read) {
        Map<Checkpoint, Integer> shares = new EnumMap<>(Checkpoint.class);
        for (Checkpoint at : SelfCheck.MOMENTS) {
            read.readings().stream()
                    .filter(r -> r.measure() == Measure.TRAIL_SHARE && r.at().equals(Optional.of(at)))
                    .findFirst()
                    .ifPresent(r -> shares.put(at, (int) Math.max(
                            0, Math.min(100, 5 * Math.round((r.value() + FELT_ERROR * random.nextGaussian()) / 5)))));
        }
        return shares.size() < SelfCheck.MOMENTS.size()
                ? List.of()
                : List.of(new SelfCheck(
                        UUID.nameUUIDFromBytes((name + "felt" + on).getBytes(StandardCharsets.UTF_8)), on, shares));
    }

    /** Ten scored reps. */
    String scored(double chanceOfGood) {
        StringBuilder marks = new StringBuilder();
        for (int rep = 0; rep < CheckSet.REPS; rep++) marks.append(random.nextDouble() < chanceOfGood ? '+' : '-');
        return marks.toString();
    }

    private String noticed(Notice notice, double good) {
        boolean right = random.nextDouble() < (good >= MOSTLY_GOOD ? NOTICED_ARIGHT : 1 - NOTICED_ARIGHT);
        if (notice.reply() instanceof Notice.Choices choices) {
            List<String> ids = choices.answers().stream()
                    .map(Notice.Answer::id)
                    .filter(id -> choices.right().contains(id) == right)
                    .toList();
            return ids.get(random.nextInt(ids.size()));
        }
        Notice.Measured measured = (Notice.Measured) notice.reply();
        if (right) return String.valueOf(Math.min(measured.to(), measured.from() + random.nextInt(2)));
        return String.valueOf(
                measured.from() == 0 ? measured.to() + 1 + random.nextInt(4) : random.nextInt(measured.from()));
    }

    /** The first run of misses of a block is answered with the easier form. */
    private static List<Turn> turns(String marks) {
        int at = marks.indexOf("-".repeat(Turn.MISSES));
        return at < 0 || marks.length() > BlockResult.MOST_REPS
                ? List.of()
                : List.of(new Turn(at + Turn.MISSES, Turn.Kind.EASIER));
    }
}
