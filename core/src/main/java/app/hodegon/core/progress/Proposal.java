package app.hodegon.core.progress;

import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Evidence.Work;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What to do next, from what was kept and what was practised. The first rule that holds decides; the coach decides over
 * it.
 *
 * @param because what it rests on, in sentences for the coach
 */
public record Proposal(Kind kind, List<String> because) {

    /** In words for a student who plays with that hand. */
    public Proposal said(Handedness hand) {
        return new Proposal(kind, because.stream().map(hand::say).toList());
    }

    /** Practised less than this share, a drill has not had its chance. */
    private static final double TOO_LITTLE = 0.5;

    /** Balls that are worth asking for, at least. */
    private static final int A_TALLY = 30;

    /** What may be proposed, in the order in which the rules are asked. */
    public enum Kind implements Identified {
        STOP_AND_REFER(
                "stop-and-refer", "Stop, refer, replace", "The next plan is laid without what hurt, and goes easy."),
        TODAY(
                "today",
                "What is likely today",
                "The next plan works on what today's diagnosis puts first, not on what was begun."),
        LOOK_AGAIN(
                "look-again",
                "Look again at the diagnosis",
                "No plan yet: first what the fault is mistaken for, and the fixes known to make it worse."),
        LOOK_FURTHER(
                "look-further",
                "Look for what is left",
                "No plan yet: what was worked on is gone, the ball is not. First the looks that tell most of the rest."),
        DONE(
                "done",
                "Done: keep it and play",
                "A small plan keeps it: two short days a week for three weeks, and ten scored balls at the next lesson."),
        ADVANCE("advance", "Advance", "The next plan takes the next fault down the chain."),
        GO_ON("go-on", "Go on up the same route", "The next plan begins above what is passed."),
        GO_ON_AND_MEASURE(
                "go-on-and-measure",
                "Go on, and measure",
                "The next plan begins above what is passed, and the next lesson with ten scored balls."),
        OTHER_FEEDBACK(
                "other-feedback",
                "Another drill with another feedback",
                "The next plan has a drill on the same rung that tells in a way the last one did not."),
        EASIER_FORM(
                "easier-form",
                "An easier form of the same",
                "The next plan begins on the same rung slower and in sets of five."),
        SMALLER_PLAN(
                "smaller-plan",
                "A smaller plan",
                "The next plan asks for the minutes that were really used, for the first fault only."),
        SAME_RUNG(
                "same-rung",
                "The same rung, more often and in shorter sets",
                "The next plan has one more day where one is free, sets of five, and a drill to touch or to hear."),
        MEASURE("measure", "Measure before deciding", "No plan yet: first the balls and readings that would tell.");

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

        /** Whether it leaves what was begun one more chance: a second time running it is not enough. */
        boolean waits() {
            return this == OTHER_FEEDBACK || this == EASIER_FORM || this == GO_ON_AND_MEASURE || this == DONE;
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
        List<String> worse = named(e, Verdict.WORSE);
        List<String> better = named(e, Verdict.BETTER);
        List<String> lost = e.told().stream()
                .filter(t -> t.gain().filter(v -> v == Verdict.BETTER).isPresent())
                .map(Told::name)
                .toList();
        Work work = e.work();
        String practised = practised(work.share());
        String gates = gates(work);
        boolean again = work.before().filter(Kind::waits).isPresent();
        // Gates that pass while the fault stays as likely as it was tell something once, not twice.
        boolean onTime = work.passed() > 0
                && 2 * work.passed() >= work.due()
                && !(again && e.today().likely());
        // What is no longer likely or does better in its checks may be on its way, and where no gate was due it is too
        // early to tell: once.
        boolean wait = onTime
                || !again
                        && (!e.today().likely()
                                || work.due() == 0
                                || !work.rising().isEmpty());

        if (!e.stopped().isEmpty()) {
            return because(
                    Kind.STOP_AND_REFER,
                    String.join(", ", e.stopped()) + " hurt and is stopped.",
                    "Pain that stays goes to a doctor or physiotherapist before the ball flight is worked on.");
        }
        if (!e.today().instead().isEmpty())
            return new Proposal(Kind.TODAY, e.today().instead());
        if (!worse.isEmpty() || !e.newResults().isEmpty()) {
            List<String> reasons = new ArrayList<>();
            if (!worse.isEmpty()) reasons.add("Worse than at the last lesson: " + list(worse) + ".");
            if (!e.newResults().isEmpty()) reasons.add("New since the last lesson: " + list(e.newResults()) + ".");
            reasons.add("Look-alikes and known wrong fixes come first.");
            return new Proposal(Kind.LOOK_AGAIN, List.copyOf(reasons));
        }
        String kept = better.isEmpty() ? "Nothing is worse." : "Better and kept: " + list(better) + ".";
        boolean passedAll = work.ended() || work.passed() == work.due() && (work.due() > 0 || !better.isEmpty());
        if (e.today().gone()
                && passedAll
                && !e.today().next()
                && !e.today().unexplained().isEmpty()) {
            return new Proposal(
                    Kind.LOOK_FURTHER,
                    Stream.concat(
                                    Stream.of(kept, gates, "What was worked on is unlikely on what was seen today."),
                                    e.today().unexplained().stream())
                            .toList());
        }
        if (e.today().gone() && passedAll) {
            return because(
                    e.today().next() ? Kind.ADVANCE : Kind.DONE,
                    kept,
                    gates,
                    "What was worked on is unlikely on what was seen today.");
        }
        if (!better.isEmpty()) {
            if (!work.ended()) return because(Kind.GO_ON, kept, gates, "The way up is not ended yet.");
            return because(e.today().next() ? Kind.ADVANCE : Kind.DONE, kept, gates, "The way up is ended.");
        }
        if (work.ended() && work.atOnce() && e.today().likely()) {
            return because(
                    Kind.LOOK_AGAIN,
                    gates,
                    "They fell at once, the ball stays as it was and the fault is as likely as before: what is practised may"
                            + " not be the trouble.");
        }
        if (work.share().filter(share -> share < TOO_LITTLE).isPresent()) {
            return because(
                    Kind.SMALLER_PLAN,
                    "No change beyond chance yet.",
                    practised,
                    "A drill is not to blame for practice that did not happen.");
        }
        if (!lost.isEmpty()) {
            return because(
                    Kind.SAME_RUNG,
                    "Better within the last lesson, and not kept: " + list(lost) + ".",
                    practised,
                    "Something to touch or to hear keeps a movement where feeling alone loses it.");
        }
        boolean measured = e.told().stream().anyMatch(t -> t.kept().isPresent());
        if ((work.share().isPresent() || measured) && wait && !work.ended()) {
            return because(
                    Kind.GO_ON_AND_MEASURE,
                    practised,
                    gates + rising(work),
                    "The ball cannot tell yet. " + toMeasure(e));
        }
        if (work.share().isPresent() && !wait) {
            if (work.before().filter(Kind::waits).isPresent()) {
                return because(
                        Kind.LOOK_AGAIN,
                        practised,
                        gates,
                        "It had its chance already: now the diagnosis is to be doubted.");
            }
            return because(
                    work.tellsOtherwise().getAsBoolean() ? Kind.OTHER_FEEDBACK : Kind.EASIER_FORM,
                    practised,
                    gates,
                    "If that does not help either, the diagnosis is the next to be doubted.");
        }
        return because(Kind.MEASURE, "What was worked on is not told yet.", practised, gates, toMeasure(e));
    }

    /** What would tell, in a sentence. */
    private static String toMeasure(Evidence e) {
        return e.told().stream()
                .filter(t -> t.toTell().isPresent())
                .min(Comparator.comparingInt(t -> t.toTell().getAsInt()))
                .map(t -> "%s: %d more each time would tell."
                        .formatted(capitalised(t.name()), t.toTell().getAsInt()))
                .orElse("Ten balls hardly ever tell: " + A_TALLY
                        + " from before the first word, here or on the phone, would.");
    }

    private static Proposal because(Kind kind, String... reasons) {
        return new Proposal(kind, List.of(reasons));
    }

    private static List<String> named(Evidence evidence, Verdict kept) {
        return evidence.told().stream()
                .filter(t -> t.kept().filter(v -> v == kept).isPresent())
                .map(Told::name)
                .toList();
    }

    private static String gates(Work e) {
        if (e.due() == 0) return "No gate was due yet.";
        return e.passed() + " of " + e.due() + (e.due() == 1 ? " gate" : " gates") + " due by now passed.";
    }

    private static String rising(Work work) {
        if (work.rising().isEmpty()) return "";
        return " Its checks rise: "
                + work.rising().stream().map(String::valueOf).collect(Collectors.joining(", ")) + " of 10.";
    }

    private static String practised(Optional<Double> share) {
        return share.map(s -> "Practised " + Math.round(100 * s) + " % of the reps planned.")
                .orElse("No practice was planned.");
    }

    private static String list(List<String> names) {
        return names.stream().map(Proposal::inASentence).collect(Collectors.joining("; "));
    }

    private static String capitalised(String name) {
        return Character.toUpperCase(name.charAt(0)) + name.substring(1);
    }

    private static String inASentence(String name) {
        return Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }
}
