package app.hodegon.core.diagnosis;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Diagnosis.ChainLink;
import app.hodegon.core.diagnosis.Diagnosis.Finding;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Units;
import app.hodegon.core.swing.Wording;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reasons from what was seen to the faults behind it, by exact inference in the catalogue's causal network. */
public final class Diagnostician {

    /** Evidence that moves a fault's log-odds by less is not worth a coach's reading time. */
    private static final double WORTH_SAYING = 0.05;

    private static final int LOOKS = 12;

    /** What earlier lessons leave to be believed, as evidence. */
    public static final String HISTORY = "history";

    private final PressureSchool school;
    private final Repeatability repeatability;
    private final Wording wording;
    private final LookAhead lookAhead;

    /** With the assumed repeatabilities. */
    public Diagnostician(PressureSchool school, Handedness hand) {
        this(school, Repeatability.ASSUMED, hand);
    }

    public Diagnostician(PressureSchool school, Repeatability repeatability, Handedness hand) {
        this(school, repeatability, new Wording(hand, Units.METRIC));
    }

    /** Whose texts are said so. */
    public Diagnostician(PressureSchool school, Repeatability repeatability, Wording wording) {
        this.school = school;
        this.repeatability = repeatability;
        this.wording = wording;
        this.lookAhead = new LookAhead(school, repeatability, wording);
    }

    /** The diagnosis; total for any observations, contradictory ones included. */
    public Diagnosis diagnose(Observations seen) {
        return diagnose(Clues.of(seen, school, repeatability), seen, UnaryOperator.identity());
    }

    /**
     * The diagnosis of who was seen before: what that leaves to be believed is one more piece of evidence, with the id
     * {@value #HISTORY}, that today's can overturn.
     *
     * @param history earlier lessons, oldest first
     * @param on the day of this lesson
     * @throws IllegalArgumentException if the lessons are not in their order, or not before this one
     */
    public Diagnosis diagnose(Observations seen, List<PastLesson> history, LocalDate on) {
        if (history.isEmpty()) return diagnose(seen);
        LocalDate before = LocalDate.MIN;
        for (PastLesson lesson : history) {
            if (!lesson.on().isAfter(before)) {
                throw new IllegalArgumentException("history goes from the oldest lesson on, one a day.");
            }
            if (!lesson.on().isBefore(on)) throw new IllegalArgumentException("history lies before this lesson.");
            before = lesson.on();
        }
        double[] odds = CarriedOver.odds(history, on, this::believed);
        return diagnose(Clues.of(seen, school, repeatability), seen, posterior -> posterior.with(odds));
    }

    private double[] believed(Observations seen, double[] odds) {
        return Posterior.after(Clues.of(seen, school, repeatability))
                .with(odds)
                .calibrated()
                .probabilities();
    }

    private Diagnosis diagnose(List<Clue> clues, Observations seen, UnaryOperator<Posterior> carriedOver) {
        Posterior without = Posterior.after(clues);
        Posterior posterior = carriedOver.apply(without);
        Posterior.Calibrated believed = posterior.calibrated();
        Joint joint = new Joint(posterior, believed);

        List<Finding> findings = findings(
                clues,
                joint,
                believed.probabilities(),
                posterior == without
                        ? Optional.empty()
                        : Optional.of(without.calibrated().probabilities()));
        List<Fault> likely = findings.stream()
                .filter(f -> f.grade() == Grade.LIKELY)
                .map(Finding::fault)
                .toList();
        List<Fault> focus = focus(likely, seen);
        return new Diagnosis(
                findings,
                chain(believed, findings),
                focus,
                lookAhead.looks(seen, posterior, joint, believed).stream()
                        .limit(LOOKS)
                        .toList(),
                Unexplained.of(seen.shots(), findings),
                notes(likely, focus, seen));
    }

    /** @param otherwise what would be believed without earlier lessons; empty where there are none */
    private List<Finding> findings(List<Clue> clues, Joint joint, double[] probability, Optional<double[]> otherwise) {
        Map<Clue, double[]> without = new HashMap<>();
        for (Clue clue : clues) without.put(clue, joint.without(clue).probabilities());
        List<Finding> findings = new ArrayList<>();
        for (Fault fault : Fault.values()) {
            double p = probability[fault.ordinal()];
            Set<String> ofOtherBalls = clues.stream()
                    .filter(clue -> clue.showing() instanceof Showing.OfBalls && !hasToDoWith(fault, clue.showing()))
                    .map(Clue::id)
                    .collect(Collectors.toSet());
            Stream<Evidence> carried = otherwise.stream()
                    .map(o -> new Evidence(
                            HISTORY,
                            logOdds(p) - logOdds(o[fault.ordinal()]),
                            "From the lessons before",
                            Optional.empty()));
            Stream<Evidence> today = clues.stream()
                    .map(clue -> new Evidence(
                            clue.id(),
                            logOdds(p) - logOdds(without.get(clue)[fault.ordinal()]),
                            wording.say(clue.text()),
                            Catalogue.standard().reason(clue.showing(), fault).map(wording::say)));
            List<Evidence> evidence = Stream.concat(carried, today)
                    .filter(e -> Math.abs(e.weight()) >= WORTH_SAYING)
                    .filter(e -> e.weight() > 0 || !ofOtherBalls.contains(e.id()))
                    .sorted(Comparator.comparingDouble(e -> -Math.abs(e.weight())))
                    .toList();
            boolean ownSeen = clues.stream()
                    .anyMatch(clue -> !(clue.showing() instanceof Showing.OfBalls)
                            && Catalogue.standard().shownBy(clue.showing()).containsKey(fault));
            findings.add(new Finding(
                    fault,
                    p,
                    Grade.of(p, ownSeen, evidence.stream().anyMatch(e -> e.weight() > 0)),
                    evidence.stream().filter(e -> e.weight() > 0).toList(),
                    evidence.stream().filter(e -> e.weight() < 0).toList()));
        }
        findings.sort(Comparator.comparingDouble(f -> -f.probability()));
        return List.copyOf(findings);
    }

    /** Whether a fault, or what it brings, shows this. */
    private static boolean hasToDoWith(Fault fault, Showing showing) {
        return Catalogue.standard().shownBy(showing).keySet().stream()
                .anyMatch(shower -> shower == fault || Catalogue.standard().leadsTo(fault, shower));
    }

    private static double logOdds(double p) {
        double kept = Math.min(1 - 1e-12, Math.max(1e-12, p));
        return Math.log(kept / (1 - kept));
    }

    private List<ChainLink> chain(Posterior.Calibrated believed, List<Finding> findings) {
        Map<Fault, Finding> byFault = findings.stream().collect(Collectors.toMap(Finding::fault, f -> f));
        return Catalogue.standard().links().stream()
                .filter(l -> byFault.get(l.from()).probability() >= Grade.POSSIBLE_FROM
                        && byFault.get(l.to()).probability() >= Grade.POSSIBLE_FROM)
                .map(l -> new ChainLink(l.from(), l.to(), believed.broughtAbout(l)))
                .sorted(Comparator.comparingDouble(l -> -l.strength()))
                .toList();
    }

    /**
     * The most upstream likely fault first, unless a sore back points at one; then a likely cause in the body that
     * feeds it, or else the next likely fault of another chain. What the first one explains waits.
     */
    private static List<Fault> focus(List<Fault> likely, Observations seen) {
        List<Fault> ofMovement =
                likely.stream().filter(f -> !f.ofTheBody()).sorted().toList();
        if (ofMovement.isEmpty()) return likely.stream().sorted().limit(2).toList();
        boolean sore = seen.signs().getOrDefault(Sign.BACK_SORENESS, false);
        Map<Fault, Double> soreFrom = Catalogue.standard().shownBy(new Showing.OfSign(Sign.BACK_SORENESS));
        Fault first = ofMovement.stream()
                .filter(f -> sore && soreFrom.containsKey(f))
                .findFirst()
                .orElse(ofMovement.get(0));
        List<Fault> focus = new ArrayList<>(List.of(first));
        Catalogue catalogue = Catalogue.standard();
        likely.stream()
                .filter(Fault::ofTheBody)
                .filter(body -> catalogue.leadsTo(body, first))
                .findFirst()
                .or(() -> ofMovement.stream()
                        .filter(f -> f != first && !catalogue.leadsTo(first, f))
                        .findFirst()
                        .map(other -> rootInTheBody(likely, other)))
                .ifPresent(focus::add);
        return List.copyOf(focus);
    }

    /** What the body lacks and so brings this fault; the fault itself where there is nothing of the kind. */
    private static Fault rootInTheBody(List<Fault> likely, Fault fault) {
        return likely.stream()
                .filter(body -> body.ofTheBody() && Catalogue.standard().leadsTo(body, fault))
                .findFirst()
                .orElse(fault);
    }

    /** Moments at which so little is no accident any more. */
    private static final int MOMENTS_RUNNING = 3;

    /** The lower part of a corridor, as a share of it. */
    private static final double LOW_SIDE = 1.0 / 3;

    /** Within the school's corridor, but near its lower end at three moments running going back. */
    private Optional<String> onTheLowSide(Observations seen) {
        List<Checkpoint> low = new ArrayList<>();
        for (Checkpoint at : List.of(Checkpoint.HIP_BACK, Checkpoint.ARM_BACK, Checkpoint.TOP)) {
            PressureSchool.Corridor corridor = school.corridor(at);
            double upTo = corridor.low() + LOW_SIDE * (corridor.high() - corridor.low());
            boolean isLow = seen.readings().stream()
                    .filter(r -> r.measure() == Measure.TRAIL_SHARE && r.at().equals(Optional.of(at)))
                    .anyMatch(r -> r.value() >= corridor.low() && r.value() <= upTo);
            if (isLow) low.add(at);
        }
        return low.size() < MOMENTS_RUNNING
                ? Optional.empty()
                : Optional.of("The load under the {trail} foot is inside what you teach, but on its low side from hip"
                        + " back to the top: a little less and it is no load. Worth a look next time.");
    }

    private List<String> notes(List<Fault> likely, List<Fault> focus, Observations seen) {
        List<String> notes = new ArrayList<>();
        if (seen.equals(Observations.NONE)) {
            notes.add("Nothing seen yet. Tally a few balls and answer the signs you are sure of.");
        } else if (likely.isEmpty()) {
            notes.add("Nothing is likely on what was seen so far. The next looks tell the most.");
        }
        if (seen.signs().getOrDefault(Sign.BACK_SORENESS, false)) {
            notes.add("Sore lower back: ease the session now; pain that stays belongs to a doctor or physiotherapist.");
        }
        notes.addAll(new WrongFixes(seen, school, repeatability).found(likely));
        List<Fault> focusFirst = new ArrayList<>(focus);
        likely.stream().sorted().filter(f -> !focus.contains(f)).forEach(focusFirst::add);
        for (Fault fault : focusFirst) notes.add("Trap with " + fault.label().toLowerCase() + ": " + fault.trap());
        for (Fault fault : likely) {
            focus.stream()
                    .filter(root ->
                            !focus.contains(fault) && Catalogue.standard().leadsTo(root, fault))
                    .findFirst()
                    .ifPresent(root -> notes.add(fault.label() + " can come from "
                            + root.label().toLowerCase() + ": let it wait and look again once that has changed."));
        }
        onTheLowSide(seen).ifPresent(notes::add);
        notes.addAll(LookAlikes.found(likely, seen, school, repeatability));
        return notes.stream().map(wording::say).toList();
    }
}
