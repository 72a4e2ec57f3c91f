package app.hodegon.core.practice;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Words;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Units;
import app.hodegon.core.track.View;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Something about a student that wants the coach.
 *
 * @param key tells it from others of its kind; the same as long as nothing new has happened
 * @param from the day from which it holds; may lie ahead, for a day that comes without practice
 * @param until the day from which it no longer does; empty while something else must happen
 * @param subject the drill of a pain, the rung of a gate, the session of a note, the clip of a film
 * @param reason in a sentence for the coach
 */
public record Attention(
        Kind kind, String key, LocalDate from, Optional<LocalDate> until, Subject subject, String reason) {

    Attention(Kind kind, String key, LocalDate from, Subject subject, String reason) {
        this(kind, key, from, Optional.empty(), subject, reason);
    }

    /** In words for a student who plays with that hand. */
    public Attention said(Handedness hand) {
        return new Attention(kind, key, from, until, subject, hand.say(reason));
    }

    /** Most urgent first. */
    public enum Kind implements Identified {
        PAIN("pain"),
        LOST("lost"),
        STUCK("stuck"),
        STRIKE("strike"),
        NOTICED("noticed"),
        ABSENT("absent"),
        NOT_INVITED("not-invited"),
        NOT_OPENED("not-opened"),
        GATE_WAITS("gate-waits"),
        BALL_MISSING("ball-missing"),
        PLAN_OVER("plan-over"),
        NOTE("note"),
        FILM("film");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /** What it is about; empty parts do not apply. */
    public record Subject(Optional<String> drill, Optional<StepId> step, Optional<UUID> session) {
        static final Subject NONE = new Subject(Optional.empty(), Optional.empty(), Optional.empty());

        static Subject of(String drill) {
            return new Subject(Optional.of(drill), Optional.empty(), Optional.empty());
        }

        static Subject of(StepId step) {
            return new Subject(Optional.empty(), Optional.of(step), Optional.empty());
        }

        static Subject of(UUID session) {
            return new Subject(Optional.empty(), Optional.empty(), Optional.of(session));
        }
    }

    /** Check sets running under the gate. */
    private static final int STUCK_AFTER = 3;

    /** Checks of which one may have been good by chance. */
    private static final int MANY_CHECKS = 6;

    /** Days past the one on which a gate was promised. */
    private static final int LATE_AFTER = 7;

    /** Days for which an invitation may lie. */
    private static final int UNOPENED_AFTER = 3;

    /** Planned days in a row without practice. */
    private static final int ABSENT_AFTER = 3;

    /**
     * What is known about a student between two lessons.
     *
     * @param days planned days of the running plan on which practice was to be expected, in order
     * @param nextLesson when the running plan ends; empty without one
     * @param likelyOn the day on which each gate was likely when the plan was handed over
     * @param practice all sessions, oldest first
     * @param stopped drills stopped for pain, and since when
     * @param unanswered sessions whose note the coach has not read
     * @param printed the paper of the running plan, if there is one
     * @param library whose questions the student answers
     * @param films of swings that the coach has not looked at
     * @param begins the first day of the running plan of whoever has no account yet; empty for the others
     * @param invited when that student was last invited; empty if never
     */
    public record Situation(
            List<LocalDate> days,
            Optional<LocalDate> nextLesson,
            Map<StepId, LocalDate> likelyOn,
            List<PracticeSession> practice,
            Map<String, LocalDate> stopped,
            Set<UUID> unanswered,
            Gates gates,
            Optional<Printed> printed,
            DrillLibrary library,
            List<Film> films,
            Optional<LocalDate> begins,
            Optional<LocalDate> invited) {

        /** Of which only the practice is known, and when each gate was likely. */
        public static Situation of(List<PracticeSession> practice, Map<StepId, LocalDate> likelyOn) {
            return new Situation(
                    List.of(),
                    Optional.empty(),
                    likelyOn,
                    practice,
                    Map.of(),
                    Set.of(),
                    Gates.STANDARD,
                    Optional.empty(),
                    DrillLibrary.standard(),
                    List.of(),
                    Optional.empty(),
                    Optional.empty());
        }
    }

    /** A plan on paper, and the drills that stand on it. */
    public record Printed(LocalDate on, Set<String> drills) {}

    /**
     * The film of a swing that a student sent.
     *
     * @param pelvis how far it goes where the view tells most, cm: from the target at the top face on, towards the ball at
     *     impact down the line; empty where it was not read
     */
    public record Film(UUID id, LocalDate on, View view, OptionalDouble pelvis) {}

    /** Everything that wants the coach, or will on a day to come if nothing happens; most urgent first. */
    public static List<Attention> of(Situation now) {
        List<Attention> all = new ArrayList<>();
        now.stopped().forEach((drill, since) -> all.add(pain(now, drill, since)));
        Ladder ladder = Ladder.of(
                now.practice().stream().flatMap(s -> s.checks().stream()).toList(), now.gates());
        ladder.rungs().forEach((step, state) -> {
            LocalDate last = state.last().on();
            if (state.standing() == Standing.STEP_BACK) {
                all.add(about(Kind.LOST, step, last, lost(state)));
            }
            if (state.standing() == Standing.WAITS) {
                all.add(about(
                        Kind.GATE_WAITS,
                        step,
                        last,
                        "The reps on " + label(step) + " are there; the gate waits for your word."));
            }
            if (state.standing() == Standing.STAY) {
                stuck(now, step, state).ifPresent(all::add);
                if (ladder.isLowestOpen(step)) ballMissing(now, step, state).ifPresent(all::add);
            }
        });
        all.addAll(Slipping.of(now.practice(), now.library()));
        absent(now).ifPresent(all::add);
        unreached(now).ifPresent(all::add);
        now.nextLesson()
                .ifPresent(on -> all.add(new Attention(
                        Kind.PLAN_OVER,
                        on.toString(),
                        on.plusDays(1),
                        Subject.NONE,
                        "The plan ended and no lesson followed.")));
        now.practice().stream()
                .filter(s -> now.unanswered().contains(s.id()))
                .forEach(s -> all.add(new Attention(
                        Kind.NOTE, s.id().toString(), s.day(), Subject.of(s.id()), "“" + s.note() + "”")));
        now.films()
                .forEach(f ->
                        all.add(new Attention(Kind.FILM, f.id().toString(), f.on(), Subject.of(f.id()), filmed(f))));
        all.sort((a, b) -> a.kind().compareTo(b.kind()));
        return List.copyOf(all);
    }

    private static Attention pain(Situation now, String drill, LocalDate since) {
        Optional<PracticeSession> session = now.practice().stream()
                .filter(s -> s.pain().filter(p -> p.drill().equals(drill)).isPresent())
                .reduce((earlier, later) -> later);
        String where = session.flatMap(PracticeSession::pain)
                .map(p -> "Pain " + p.score() + " of 10, " + p.where().label().toLowerCase() + ": ")
                .orElse("");
        return new Attention(
                Kind.PAIN,
                drill + " " + since,
                // A phone's clock may run ahead; pain does not wait for it.
                session.map(PracticeSession::day)
                        .filter(day -> day.isBefore(since))
                        .orElse(since),
                Subject.of(drill),
                where + "the drill is stopped until you lift it." + onPaper(now, drill));
    }

    private static String onPaper(Situation now, String drill) {
        return now.printed()
                .filter(p -> p.drills().contains(drill))
                .map(p -> " It still stands on the paper printed on " + Words.day(p.on()) + ".")
                .orElse("");
    }

    private static String lost(Ladder.RungState state) {
        List<CheckSet> sets = state.all();
        String scores = sets.subList(Math.max(0, sets.size() - 2), sets.size()).stream()
                .map(s -> s.good() + " of " + s.of())
                .collect(Collectors.joining(" and "));
        CheckSet last = state.last();
        return "Lost twice running on " + label(new StepId(last.fault(), last.rung())) + ": " + scores + ".";
    }

    /**
     * Three checks running under the gate, on two days or more, whatever easier work lay between; or one, and the day on
     * which the gate was promised lies a week back. Whose checks rise is on the way.
     */
    private static Optional<Attention> stuck(Situation now, StepId step, Ladder.RungState state) {
        Gate gate = now.gates().of(step);
        List<CheckSet> running = state.under(gate);
        List<CheckSet> many = running.size() < STUCK_AFTER ? state.mostlyUnder(gate, MANY_CHECKS) : List.of();
        List<CheckSet> sets = many.isEmpty() ? running : many;
        int after = many.isEmpty() ? STUCK_AFTER : MANY_CHECKS;
        if (sets.isEmpty() || !state.rising(sets.get(0).on()).isEmpty()) return Optional.empty();
        LocalDate first = sets.get(0).on();
        Optional<LocalDate> checked = sets.size() < after
                ? Optional.empty()
                : Optional.of(sets.get(after - 1).on()).filter(day -> !day.equals(first));
        Optional<LocalDate> late = Optional.ofNullable(now.likelyOn().get(step)).map(day -> day.plusDays(LATE_AFTER));
        return Stream.concat(checked.stream(), late.stream())
                .min(Comparator.naturalOrder())
                .map(from -> about(
                        Kind.STUCK,
                        step,
                        from.isBefore(first) ? first : from,
                        "%s is stuck: %s of %d, it takes %d%s. %s Next: watch a set of it yourself, or ask for a film."
                                .formatted(
                                        capitalised(label(step)),
                                        scores(sets, after),
                                        gate.of(),
                                        gate.good(),
                                        many.isEmpty() ? "" : " twice running",
                                        tried(now, state))));
    }

    /** The last checks would pass the gate, had the last been with a real ball. */
    private static Optional<Attention> ballMissing(Situation now, StepId step, Ladder.RungState state) {
        Gate gate = now.gates().of(step);
        List<CheckSet> good = state.enough(gate);
        if (good.stream().map(CheckSet::on).distinct().count() < gate.days()
                || state.last().closesAGate()) return Optional.empty();
        return Optional.of(about(
                Kind.BALL_MISSING,
                step,
                state.last().on(),
                "On “%s”, for %s, only a real ball is missing: %s of %d without one. Ten balls in the next lesson, a net or one range day pass it."
                        .formatted(
                                label(step),
                                step.fault().label().toLowerCase(),
                                scores(good, STUCK_AFTER),
                                gate.of())));
    }

    private static String scores(List<CheckSet> sets, int last) {
        return sets.stream()
                .skip(Math.max(0, sets.size() - last))
                .map(s -> "" + s.good())
                .collect(Collectors.joining(", "));
    }

    private static String tried(Situation now, Ladder.RungState state) {
        return "Tried: "
                + state.all().stream()
                        .map(CheckSet::drill)
                        .distinct()
                        .map(id -> now.library().has(id)
                                ? now.library().drill(id).name().toLowerCase(Locale.ROOT)
                                : id)
                        .collect(Collectors.joining(", then "))
                + ".";
    }

    private static Optional<Attention> absent(Situation now) {
        // Once the lesson is due, or was held, there is no plan left to practise.
        if (now.nextLesson().isEmpty()) return Optional.empty();
        LocalDate last = now.practice().isEmpty()
                ? LocalDate.MIN
                : now.practice().get(now.practice().size() - 1).day();
        List<LocalDate> missed =
                now.days().stream().filter(d -> d.isAfter(last)).toList();
        if (missed.size() < ABSENT_AFTER) return Optional.empty();
        LocalDate third = missed.get(ABSENT_AFTER - 1);
        return Optional.of(new Attention(
                Kind.ABSENT,
                missed.get(0).toString(),
                third.plusDays(1),
                now.nextLesson(),
                Subject.NONE,
                noPractice(missed.get(0), ABSENT_AFTER)));
    }

    /** A plan runs that its student cannot open; on paper, or practised, it is with the student. */
    private static Optional<Attention> unreached(Situation now) {
        if (now.nextLesson().isEmpty()
                || now.begins().isEmpty()
                || now.printed().isPresent()) return Optional.empty();
        LocalDate begins = now.begins().get();
        if (now.practice().stream().anyMatch(s -> !s.day().isBefore(begins))) return Optional.empty();
        return Optional.of(now.invited()
                .map(on -> new Attention(
                        Kind.NOT_OPENED,
                        on.toString(),
                        on.plusDays(UNOPENED_AFTER),
                        now.nextLesson(),
                        Subject.NONE,
                        "The invitation of " + Words.day(on) + " was not opened: the plan has not been seen."))
                .orElseGet(() -> new Attention(
                        Kind.NOT_INVITED,
                        begins.toString(),
                        begins.minusDays(1),
                        now.nextLesson(),
                        Subject.NONE,
                        "The plan begins and nobody was invited: it is neither on a phone nor on paper.")));
    }

    /**
     * What is said of planned days without practice.
     *
     * @param days how many there are by now
     */
    public static String noPractice(LocalDate first, int days) {
        return "No practice on %d planned days, from %s on.".formatted(days, Words.day(first));
    }

    private static String filmed(Film film) {
        boolean face = film.view() == View.FACE_ON;
        String way = face ? "away from the target at the top" : "towards the ball at impact";
        String pelvis = film.pelvis().isEmpty()
                ? ""
                : ": the pelvis is %s %s"
                        .formatted(
                                Units.inText(
                                        String.format(
                                                Locale.ROOT,
                                                "%.0f",
                                                film.pelvis().getAsDouble()),
                                        "cm"),
                                way);
        return "A swing, filmed " + (face ? "face on" : "down the line") + pelvis + ".";
    }

    private static Attention about(Kind kind, StepId step, LocalDate from, String reason) {
        return new Attention(
                kind, step.fault().id() + " " + step.rung().id() + " " + from, from, Subject.of(step), reason);
    }

    private static String label(StepId step) {
        return step.rung().label().toLowerCase();
    }

    private static String capitalised(String text) {
        return Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }
}
