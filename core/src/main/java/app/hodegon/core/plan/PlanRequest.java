package app.hodegon.core.plan;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.drill.Rung;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a plan is made from.
 *
 * @param focus one or two faults, in the order to work on
 * @param likely every fault graded likely; those in focus are added
 * @param seen signs of the lesson: a drill that answers one goes before others
 * @param from first day of practice
 * @param nextLesson day of the next lesson, on which there is no practice
 * @param stopped drills that hurt, until the coach lifts the stop
 * @param edits what the coach decided beforehand
 * @param settings how the coach wants it laid
 * @param soFar what came of the days before
 */
public record PlanRequest(
        Student student,
        Approach approach,
        List<Focus> focus,
        Set<Fault> likely,
        Set<Sign> seen,
        LocalDate from,
        LocalDate nextLesson,
        Set<String> stopped,
        Edits edits,
        Settings settings,
        SoFar soFar) {

    /**
     * What the days before leave to the ones to come.
     *
     * @param worked what was done on each rung whose gate is open
     * @param ease what pain asks for; empty without any
     */
    public record SoFar(Map<Edits.StepId, Worked> worked, Optional<Ease> ease) {

        public static final SoFar NOTHING = new SoFar(Map.of(), Optional.empty());

        public SoFar {
            worked = Map.copyOf(worked);
        }
    }

    /**
     * What was done on a rung whose gate is open.
     *
     * @param days with a check on it, by drill
     * @param oneGood whether the last check had enough good ones, so that one more passes the gate
     */
    public record Worked(Map<String, Integer> days, boolean oneGood) {
        static final Worked NOT_YET = new Worked(Map.of(), false);

        public Worked {
            days = Map.copyOf(days);
        }

        /** Days with this drill. */
        int days(String drill) {
            return days.getOrDefault(drill, 0);
        }
    }

    /** The lowest rung of this fault that was checked and is open. */
    Optional<Rung> lowestOpen(Fault fault) {
        return soFar.worked().keySet().stream()
                .filter(step -> step.fault() == fault)
                .map(Edits.StepId::rung)
                .min(Comparator.naturalOrder());
    }

    /** What was done on this rung before the first day that is laid. */
    Worked worked(Edits.StepId step) {
        return soFar.worked().getOrDefault(step, Worked.NOT_YET);
    }

    /**
     * What pain asks for: half the reps at half the speed, nothing wrong on purpose, and no way up.
     *
     * @param notAbove by fault, the rung on which it hurt; nothing above it is laid
     * @param before the first day that may be as usual again
     */
    public record Ease(Map<Fault, Rung> notAbove, LocalDate before) {

        public Ease {
            notAbove = Map.copyOf(notAbove);
        }
    }

    /**
     * How a plan is laid.
     *
     * @param oneThing a block of one thing: one plain movement in 700 to 1,000 reps before anything else
     * @param lessonCheck whether the next lesson begins with ten scored balls that count as a check
     * @param first the drills this coach uses first
     * @param sets how the coach wants the work cut
     */
    public record Settings(boolean oneThing, boolean lessonCheck, FirstChoices first, OwnSets sets) {
        public static final Settings USUAL = new Settings(false, false, FirstChoices.NONE, OwnSets.USUAL);

        Settings checking() {
            return new Settings(oneThing, true, first, sets);
        }

        public Settings ofOneThing() {
            return new Settings(true, lessonCheck, first, sets);
        }

        public Settings with(FirstChoices others) {
            return new Settings(oneThing, lessonCheck, others, sets);
        }

        public Settings with(OwnSets others) {
            return new Settings(oneThing, lessonCheck, first, others);
        }
    }

    /** Longest plan, in days. */
    public static final int LONGEST = 120;

    public record Focus(Fault fault, Grade grade) {}

    /** Without edits. */
    public PlanRequest(
            Student student,
            Approach approach,
            List<Focus> focus,
            Set<Fault> likely,
            LocalDate from,
            LocalDate nextLesson) {
        this(student, approach, focus, likely, from, nextLesson, Set.of(), Edits.NONE);
    }

    /** Laid as usual. */
    public PlanRequest(
            Student student,
            Approach approach,
            List<Focus> focus,
            Set<Fault> likely,
            LocalDate from,
            LocalDate nextLesson,
            Set<String> stopped,
            Edits edits) {
        this(
                student,
                approach,
                focus,
                likely,
                Set.of(),
                from,
                nextLesson,
                stopped,
                edits,
                Settings.USUAL,
                SoFar.NOTHING);
    }

    public PlanRequest with(Settings others) {
        return new PlanRequest(student, approach, focus, likely, seen, from, nextLesson, stopped, edits, others, soFar);
    }

    /** After these days. */
    public PlanRequest after(SoFar others) {
        return new PlanRequest(
                student, approach, focus, likely, seen, from, nextLesson, stopped, edits, settings, others);
    }

    /** From another day on. */
    public PlanRequest from(LocalDate day) {
        return new PlanRequest(
                student, approach, focus, likely, seen, day, nextLesson, stopped, edits.from(day), settings, soFar);
    }

    /** For the student otherwise equipped or placed. */
    public PlanRequest with(Student other) {
        return new PlanRequest(other, approach, focus, likely, seen, from, nextLesson, stopped, edits, settings, soFar);
    }

    /** Of a lesson that showed these signs. */
    public PlanRequest seeing(Set<Sign> signs) {
        return new PlanRequest(
                student, approach, focus, likely, signs, from, nextLesson, stopped, edits, settings, soFar);
    }

    public PlanRequest with(Edits other) {
        return new PlanRequest(
                student, approach, focus, likely, seen, from, nextLesson, stopped, other, settings, soFar);
    }

    /** For other faults. */
    public PlanRequest with(List<Focus> others) {
        return new PlanRequest(
                student, approach, others, likely, seen, from, nextLesson, stopped, edits, settings, soFar);
    }

    /** Up to another day of the next lesson. */
    PlanRequest until(LocalDate lesson) {
        return new PlanRequest(student, approach, focus, likely, seen, from, lesson, stopped, edits, settings, soFar);
    }

    /** In another week. */
    public PlanRequest with(Week week) {
        return with(student.with(week));
    }

    public PlanRequest {
        seen = Set.copyOf(seen);
        stopped = Set.copyOf(stopped);
        focus = List.copyOf(focus);
        if (focus.isEmpty() || focus.size() > 2) {
            throw new IllegalArgumentException("focus must name one or two faults, not " + focus.size() + ".");
        }
        if (focus.stream().map(Focus::fault).distinct().count() < focus.size()) {
            throw new IllegalArgumentException("focus names the same fault twice.");
        }
        long days = ChronoUnit.DAYS.between(from, nextLesson);
        if (days < 1) throw new IllegalArgumentException("nextLesson must be after from.");
        if (days > LONGEST) {
            throw new IllegalArgumentException("nextLesson must be within " + LONGEST + " days of from.");
        }
        EnumSet<Fault> all = EnumSet.noneOf(Fault.class);
        all.addAll(likely);
        focus.forEach(f -> all.add(f.fault()));
        likely = Set.copyOf(all);
    }
}
