package app.hodegon.core.progress;

import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.swing.Identified;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What to do next, from what was kept and what was practised. The first rule that holds decides; the coach decides over
 * it.
 *
 * @param because what it rests on, in sentences for the coach
 */
public record Proposal(Kind kind, List<String> because) {

    /** Practised at least this share of the plan, a drill has had its chance. */
    private static final double ENOUGH = 0.7;

    /** Practised less than this share, it has not. */
    private static final double TOO_LITTLE = 0.5;

    /** What may be proposed, in the order in which the rules are asked. */
    public enum Kind implements Identified {
        STOP_AND_REFER("stop-and-refer", "Stop, refer, replace", "The next plan is laid without what hurt."),
        LOOK_AGAIN(
                "look-again",
                "Look again at the diagnosis",
                "No plan yet: first what the fault is mistaken for, and the fixes known to make it worse."),
        MEASURE("measure", "Measure before deciding", "No plan yet: first the balls and readings that would tell."),
        ADVANCE("advance", "Advance", "The next plan takes the next fault down the chain."),
        GO_ON("go-on", "Go on up the same route", "The next plan begins above what is passed."),
        SMALLER_PLAN(
                "smaller-plan",
                "A smaller plan",
                "The next plan asks for the minutes that were really used, for the first fault only."),
        SAME_RUNG(
                "same-rung",
                "The same rung, more often and in shorter sets",
                "The next plan has one more day where one is free, sets of five, and a drill to touch or to hear."),
        OTHER_FEEDBACK(
                "other-feedback",
                "Another drill with another feedback",
                "The next plan has a drill on the same rung that tells in a way the last one did not.");

        private final String id;
        private final String label;
        private final String means;

        Kind(String id, String label, String means) {
            this.id = id;
            this.label = label;
            this.means = means;
        }

        @Override
        public String id() {
            return id;
        }

        public String label() {
            return label;
        }

        /** What taking it does, in a sentence for the coach. */
        public String means() {
            return means;
        }
    }

    /** What practice tells by itself stands behind the reasons, and decides nothing. */
    public static Proposal of(Evidence e) {
        Proposal decided = decided(e);
        return new Proposal(
                decided.kind(),
                Stream.concat(decided.because().stream(), e.practised().stream())
                        .toList());
    }

    private static Proposal decided(Evidence e) {
        List<String> worse =
                named(e, t -> t.kept().filter(v -> v == Verdict.WORSE).isPresent());
        List<String> better =
                named(e, t -> t.kept().filter(v -> v == Verdict.BETTER).isPresent());
        List<String> gained =
                named(e, t -> t.gain().filter(v -> v == Verdict.BETTER).isPresent());
        boolean measured = e.told().stream().anyMatch(t -> t.kept().isPresent());
        String practised = practised(e.shareDone());
        String gates = gates(e);

        if (!e.stopped().isEmpty()) {
            return because(
                    Kind.STOP_AND_REFER,
                    String.join(", ", e.stopped()) + " hurt and is stopped.",
                    "Pain that stays goes to a doctor or physiotherapist before the ball flight is worked on.");
        }
        if (!worse.isEmpty() || !e.newResults().isEmpty()) {
            List<String> reasons = new ArrayList<>();
            if (!worse.isEmpty()) reasons.add("Worse than at the last lesson: " + list(worse) + ".");
            if (!e.newResults().isEmpty()) reasons.add("New since the last lesson: " + list(e.newResults()) + ".");
            reasons.add("Look-alikes and known wrong fixes come first.");
            return new Proposal(Kind.LOOK_AGAIN, List.copyOf(reasons));
        }
        if (!measured) {
            return because(
                    Kind.MEASURE, "Nothing of what was worked on was measured before both lessons.", practised, gates);
        }
        if (!better.isEmpty()) {
            String kept = "Better and kept: " + list(better) + ".";
            if (e.passed() == e.due() && e.ended()) {
                return because(Kind.ADVANCE, kept, gates, "The way up is ended.");
            }
            return e.passed() == e.due() && e.gone()
                    ? because(Kind.ADVANCE, kept, gates, "What was worked on is unlikely on what was seen today.")
                    : because(Kind.GO_ON, kept, gates, "The way up is not ended yet.");
        }
        if (e.shareDone().filter(share -> share < TOO_LITTLE).isPresent()) {
            return because(
                    Kind.SMALLER_PLAN,
                    "No change beyond chance yet.",
                    practised,
                    "A drill is not to blame for practice that did not happen.");
        }
        if (!gained.isEmpty()) {
            return because(
                    Kind.SAME_RUNG,
                    "Better within the last lesson, and not kept: " + list(gained) + ".",
                    practised,
                    "Something to touch or to hear keeps a movement where feeling alone loses it.");
        }
        if (e.shareDone().filter(share -> share >= ENOUGH).isPresent()) {
            return because(
                    Kind.OTHER_FEEDBACK,
                    "No change beyond chance.",
                    practised,
                    "If another feedback does not help either, the diagnosis is the next to be doubted.");
        }
        return because(Kind.GO_ON, "No change beyond chance yet.", practised, gates);
    }

    private static Proposal because(Kind kind, String... reasons) {
        return new Proposal(kind, List.of(reasons));
    }

    private static List<String> named(Evidence evidence, Predicate<Told> which) {
        return evidence.told().stream().filter(which).map(Told::name).toList();
    }

    private static String gates(Evidence e) {
        if (e.due() == 0) return "No gate was due yet.";
        return e.passed() + " of " + e.due() + (e.due() == 1 ? " gate" : " gates") + " due by now passed.";
    }

    private static String practised(Optional<Double> share) {
        return share.map(s -> "Practised " + Math.round(100 * s) + " % of the reps planned.")
                .orElse("No practice was planned.");
    }

    private static String list(List<String> names) {
        return names.stream().map(Proposal::inASentence).collect(Collectors.joining("; "));
    }

    private static String inASentence(String name) {
        return Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }
}
