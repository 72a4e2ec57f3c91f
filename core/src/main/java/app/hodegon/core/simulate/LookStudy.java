package app.hodegon.core.simulate;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnostician;
import app.hodegon.core.diagnosis.Look;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Tally;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * How well students drawn from the catalogue's network are diagnosed from a few signs, by the way those were chosen. It
 * tests the choice and the arithmetic, not the catalogue: real students may be otherwise.
 */
public final class LookStudy {

    /** How the signs to look at were chosen. */
    public enum Way {
        NEXT_LOOKS("the engine's own next looks"),
        CHECKLIST("a fixed checklist"),
        RANDOM("at random");

        private final String label;

        Way(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** The strongest sign of each of the eight commonest faults: what a sensible fixed list would hold. */
    static final List<Sign> CHECKLIST = List.of(
            Sign.PELVIS_DRIFTS_BACK,
            Sign.WEIGHT_LEAD_AT_TOP,
            Sign.HIPS_SPIN_FIRST,
            Sign.ARMS_START_DOWN_FIRST,
            Sign.WEIGHT_LATE,
            Sign.PELVIS_TOWARD_BALL,
            Sign.CLUB_STEEP_OUTSIDE,
            Sign.FALLS_TO_TOES);

    /**
     * @param faulty how many of the students have a movement fault
     * @param upstreamFirst share of those whose most upstream true movement fault is the first to work on
     * @param firstIsTrue share of those whose most probable fault is really there
     * @param brier mean squared error of all probabilities (Brier 1950)
     * @param reliability of all probabilities against the faults that were there
     */
    public record Result(
            Way way, int faulty, double upstreamFirst, double firstIsTrue, double brier, Reliability reliability) {}

    private final int students;
    private final int signs;
    private final long seed;
    private final Diagnostician diagnostician = new Diagnostician(PressureSchool.EARLY_RETURN, Handedness.RIGHT);

    /**
     * @param students how many are drawn
     * @param signs how many each is seen with
     */
    public LookStudy(int students, int signs, long seed) {
        this.students = students;
        this.signs = signs;
        this.seed = seed;
    }

    /** Every way on the same students. */
    public List<Result> run() {
        return Arrays.stream(Way.values()).map(this::run).toList();
    }

    private record Seen(NetworkStudent student, Diagnosis diagnosis) {}

    private Result run(Way way) {
        List<Seen> all = IntStream.range(0, students)
                .parallel()
                .mapToObj(i -> {
                    // Neighbouring seeds begin alike in a plain generator; these are mixed first.
                    Random random = new Random(new SplittableRandom(seed * 1_000_003 + i).nextLong());
                    NetworkStudent student = NetworkStudent.draw(random);
                    return new Seen(student, look(student, way, random));
                })
                .toList();
        List<Seen> faulty =
                all.stream().filter(s -> s.student().mostUpstream().isPresent()).toList();
        List<Reliability.Case> cases = new ArrayList<>();
        for (Seen seen : all) {
            for (Diagnosis.Finding finding : seen.diagnosis().faults()) {
                cases.add(new Reliability.Case(
                        finding.probability(), seen.student().faults().contains(finding.fault())));
            }
        }
        double squares = cases.stream()
                .mapToDouble(c -> Math.pow(c.chance() - (c.happened() ? 1 : 0), 2))
                .sum();
        return new Result(
                way,
                faulty.size(),
                share(
                        faulty,
                        s -> s.diagnosis().focus().stream()
                                .limit(1)
                                .anyMatch(s.student().mostUpstream().orElseThrow()::equals)),
                share(
                        faulty,
                        s -> s.student()
                                .faults()
                                .contains(s.diagnosis().faults().get(0).fault())),
                squares / cases.size(),
                Reliability.of(cases));
    }

    private static double share(List<Seen> seen, Predicate<Seen> which) {
        return (double) seen.stream().filter(which).count() / seen.size();
    }

    private Diagnosis look(NetworkStudent student, Way way, Random random) {
        Map<Sign, Boolean> seen = new EnumMap<>(Sign.class);
        List<Sign> shuffled = new ArrayList<>(List.of(Sign.values()));
        Collections.shuffle(shuffled, random);
        Diagnosis diagnosis = diagnostician.diagnose(Observations.NONE);
        for (int i = 0; i < signs; i++) {
            Sign next = switch (way) {
                case NEXT_LOOKS -> firstSign(diagnosis);
                case CHECKLIST -> CHECKLIST.get(i);
                case RANDOM -> shuffled.get(i);
            };
            seen.put(next, student.answers().get(next));
            if (way == Way.NEXT_LOOKS || i == signs - 1) {
                diagnosis = diagnostician.diagnose(new Observations(seen, List.of(), Tally.EMPTY));
            }
        }
        return diagnosis;
    }

    private static Sign firstSign(Diagnosis diagnosis) {
        return diagnosis.nextLooks().stream()
                .filter(l -> l.look() instanceof Look.AtSign)
                .map(l -> ((Look.AtSign) l.look()).sign())
                .findFirst()
                .orElseThrow();
    }
}
