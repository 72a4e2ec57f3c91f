package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits;
import app.hodegon.core.plan.Edits.Dropped;
import app.hodegon.core.plan.Edits.Locked;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.FirstChoices;
import app.hodegon.core.plan.OwnSets;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Student;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.student.StudentEntry;
import app.hodegon.server.student.StudentEntry.SlotEntry;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a plan is made from beside its lesson, sent whole each time so that an undo is an earlier value sent again.
 *
 * @param week minutes and place by weekday for this plan only; null for the student's own week
 * @param firstFaultOnly whether the second fault waits
 * @param edits what the coach decided; null for nothing
 * @param smaller whether each day asks for less than the week has; null for no
 * @param oneThing whether it is a block of one thing; null for no
 * @param lessonCheck whether the next lesson begins with ten scored balls that count as a check; null where
 *     the days decide: it does if none of them has a real ball
 * @param kit what the student will have for it besides their own; null for nothing
 * @param unspared sore joints that the coach no longer spares; null for none
 * @param firstChoices what the coach used first when it was drafted; null for as the coach has it now
 * @param sets how the coach wants the work cut; null for as usual
 */
public record PlanTerms(
        @NotNull LocalDate from,
        @NotNull LocalDate nextLesson,
        @Size(max = 7) Map<String, @Valid SlotEntry> week,
        Boolean firstFaultOnly,
        @Valid EditsEntry edits,
        Boolean smaller,
        Boolean oneThing,
        Boolean lessonCheck,
        @Size(max = 40) List<@NotNull @Size(max = 20) String> kit,
        @Size(max = 10) List<@NotNull @Size(max = 20) String> unspared,
        @Size(max = 130) List<@NotNull @Valid FirstChoiceEntry> firstChoices,
        @Valid SetsEntry sets) {

    public record EditsEntry(
            @NotNull @Size(max = 200) List<@NotNull @Valid LockedEntry> locked,
            @NotNull @Size(max = 200) List<@NotNull @Valid DroppedEntry> dropped,
            @NotNull @Size(max = 20) List<@NotNull @Valid ChosenEntry> chosen,
            @NotNull @Size(max = 20) List<@NotNull @Valid StepEntry> skipped,
            @Size(max = 20) List<@NotNull @Valid StepEntry> shortSets,
            @Size(max = 20) List<@NotNull @Valid StepEntry> ahead,
            @Size(max = 20) List<@NotNull @Valid StepEntry> easier,
            @Size(max = 20) List<@NotNull @Valid InsteadEntry> instead,
            @Size(max = 20) List<@NotNull @Valid JoinedEntry> joined) {

        /** Terms stored before practice could change them so have nothing of it. */
        public EditsEntry {
            if (shortSets == null) shortSets = List.of();
            if (ahead == null) ahead = List.of();
            if (easier == null) easier = List.of();
            if (instead == null) instead = List.of();
            if (joined == null) joined = List.of();
        }

        /** The coach's blocks as they are, the choices as in {@code edits}. */
        private EditsEntry choosing(Edits edits) {
            return new EditsEntry(
                    locked,
                    dropped,
                    edits.chosen().entrySet().stream()
                            .map(e -> new ChosenEntry(
                                    e.getKey().fault().id(),
                                    e.getKey().rung().id(),
                                    e.getValue(),
                                    edits.proposed().contains(e.getKey())))
                            .sorted(Comparator.comparing(ChosenEntry::fault).thenComparing(ChosenEntry::rung))
                            .toList(),
                    entries(edits.skipped()),
                    entries(edits.shortSets()),
                    entries(edits.ahead()),
                    entries(edits.easier()),
                    edits.instead().entrySet().stream()
                            .map(e -> new InsteadEntry(
                                    e.getKey().fault().id(), e.getKey().rung().id(), e.getValue()))
                            .sorted(Comparator.comparing(InsteadEntry::fault).thenComparing(InsteadEntry::rung))
                            .toList(),
                    edits.joined().entrySet().stream()
                            .map(e -> new JoinedEntry(
                                    e.getKey().fault().id(), e.getKey().rung().id(), e.getValue()))
                            .sorted(Comparator.comparing(JoinedEntry::fault).thenComparing(JoinedEntry::rung))
                            .toList());
        }

        private static List<StepEntry> entries(Set<StepId> steps) {
            return steps.stream()
                    .map(s -> new StepEntry(s.fault().id(), s.rung().id()))
                    .sorted(Comparator.comparing(StepEntry::fault).thenComparing(StepEntry::rung))
                    .toList();
        }

        static final EditsEntry NONE =
                new EditsEntry(List.of(), List.of(), List.of(), List.of(), null, null, null, null, null);
    }

    public record LockedEntry(
            @NotNull LocalDate date,
            @NotNull @Size(max = 40) String fault,
            @NotNull @Size(max = 20) String rung,
            @NotNull @Size(max = 60) String drill,
            @NotNull @Size(max = 10) String kind,
            @NotNull Integer sets,
            @NotNull Integer repsPerSet) {}

    /**
     * @param rung which of the day's blocks of that kind; null for each of them, as it was once stored
     */
    public record DroppedEntry(
            @NotNull LocalDate date,
            @NotNull @Size(max = 40) String fault,
            @Size(max = 20) String rung,
            @NotNull @Size(max = 10) String kind) {}

    /**
     * @param proposed whether a proposal that the coach took chose it; null for no
     */
    public record ChosenEntry(
            @NotNull @Size(max = 40) String fault,
            @NotNull @Size(max = 20) String rung,
            @NotNull @Size(max = 60) String drill,
            Boolean proposed) {

        public ChosenEntry {
            proposed = proposed != null && proposed;
        }
    }

    /** The drill that goes on where checks held the one before. */
    public record InsteadEntry(
            @NotNull @Size(max = 40) String fault,
            @NotNull @Size(max = 20) String rung,
            @NotNull @Size(max = 60) String drill) {}

    /**
     * A drill done at once with that of its rung.
     *
     * @param drill its id; empty to have the rung's own alone
     */
    public record JoinedEntry(
            @NotNull @Size(max = 40) String fault,
            @NotNull @Size(max = 20) String rung,
            @NotNull @Size(max = 60) String drill) {}

    /** @param drills the first choice first */
    public record FirstChoiceEntry(
            @NotNull @Size(max = 40) String fault,
            @NotNull @Size(max = 20) String rung,
            @NotNull @Size(max = FirstChoices.MOST) List<@NotNull @Size(max = 60) String> drills) {}

    /**
     * @param size reps in a set; null for as usual
     * @param repsADay main reps on a day without a ball; null for as usual
     */
    public record SetsEntry(Integer size, Integer repsADay) {
        OwnSets toSets() {
            return new OwnSets(Optional.ofNullable(size), Optional.ofNullable(repsADay));
        }
    }

    public record StepEntry(
            @NotNull @Size(max = 40) String fault,
            @NotNull @Size(max = 20) String rung) {}

    public PlanTerms {
        firstFaultOnly = firstFaultOnly != null && firstFaultOnly;
        if (edits == null) edits = EditsEntry.NONE;
        smaller = smaller != null && smaller;
        oneThing = oneThing != null && oneThing;
        kit = kit == null ? List.of() : List.copyOf(kit);
        unspared = unspared == null ? List.of() : List.copyOf(unspared);
    }

    /** Without edits, in the student's own week. */
    public static PlanTerms between(LocalDate from, LocalDate nextLesson) {
        return new PlanTerms(from, nextLesson, null, false, null, false, false, null, null, null, null, null);
    }

    /** In this week. */
    PlanTerms in(Map<String, SlotEntry> other) {
        return new PlanTerms(
                from,
                nextLesson,
                other,
                firstFaultOnly,
                edits,
                smaller,
                oneThing,
                lessonCheck,
                kit,
                unspared,
                firstChoices,
                sets);
    }

    /** With what the coach decided about it. */
    PlanTerms with(EditsEntry others) {
        return new PlanTerms(
                from,
                nextLesson,
                week,
                firstFaultOnly,
                others,
                smaller,
                oneThing,
                lessonCheck,
                kit,
                unspared,
                firstChoices,
                sets);
    }

    /** With or without ten scored balls at the start of the next lesson. */
    PlanTerms checking(boolean check) {
        return new PlanTerms(
                from,
                nextLesson,
                week,
                firstFaultOnly,
                edits,
                smaller,
                oneThing,
                check,
                kit,
                unspared,
                firstChoices,
                sets);
    }

    /** Asking for less each day, or again for what the week has. */
    PlanTerms smaller(boolean less) {
        return new PlanTerms(
                from,
                nextLesson,
                week,
                firstFaultOnly,
                edits,
                less,
                oneThing,
                lessonCheck,
                kit,
                unspared,
                firstChoices,
                sets);
    }

    /** Without what would keep these drills in the plan. */
    PlanTerms without(Set<String> drills) {
        EditsEntry others = new EditsEntry(
                edits.locked().stream().filter(l -> !drills.contains(l.drill())).toList(),
                edits.dropped(),
                edits.chosen().stream().filter(c -> !drills.contains(c.drill())).toList(),
                edits.skipped(),
                edits.shortSets(),
                edits.ahead(),
                edits.easier(),
                edits.instead().stream()
                        .filter(c -> !drills.contains(c.drill()))
                        .toList(),
                edits.joined().stream().filter(j -> !drills.contains(j.drill())).toList());
        return with(others);
    }

    /**
     * Days before that one on which these terms decide something that {@code known} does not: what lies behind is no
     * longer laid.
     */
    List<LocalDate> decidedBehind(LocalDate day, PlanTerms known) {
        Stream<LocalDate> locked = edits.locked().stream()
                .filter(l -> !known.edits.locked().contains(l))
                .map(LockedEntry::date);
        Stream<LocalDate> dropped = edits.dropped().stream()
                .filter(d -> !known.edits.dropped().contains(d))
                .map(DroppedEntry::date);
        return Stream.concat(locked, dropped)
                .filter(d -> d.isBefore(day))
                .distinct()
                .sorted()
                .toList();
    }

    /** On which rungs these terms join drills otherwise than those known before. */
    Set<StepId> joinedSince(Optional<PlanTerms> known) {
        Map<StepId, String> before = known.map(k -> k.toEdits().joined()).orElse(Map.of());
        return toEdits().joined().entrySet().stream()
                .filter(j -> !j.getValue().equals(before.get(j.getKey())))
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    /** These terms with what {@code changed} has otherwise than {@code asked}. */
    PlanTerms with(PlanRequest asked, PlanRequest changed) {
        boolean sameWeek = changed.student().week().equals(asked.student().week());
        return new PlanTerms(
                from,
                changed.nextLesson(),
                sameWeek ? week : StudentEntry.slots(changed.student().week()),
                firstFaultOnly || changed.focus().size() < asked.focus().size(),
                edits.choosing(changed.edits()),
                smaller && sameWeek,
                changed.settings().oneThing(),
                changed.settings().lessonCheck(),
                Stream.concat(
                                kit.stream(),
                                changed.student().kit().stream()
                                        .filter(k -> !asked.student().kit().contains(k))
                                        .map(Equipment::id))
                        .distinct()
                        .toList(),
                unspared,
                firstChoices,
                sets);
    }

    /** With what the coach uses first, where they do not say. */
    PlanTerms choosing(FirstChoices now) {
        if (firstChoices != null) return this;
        return new PlanTerms(
                from,
                nextLesson,
                week,
                firstFaultOnly,
                edits,
                smaller,
                oneThing,
                lessonCheck,
                kit,
                unspared,
                now.orders().entrySet().stream()
                        .map(e -> new FirstChoiceEntry(
                                e.getKey().fault().id(), e.getKey().rung().id(), e.getValue()))
                        .sorted(Comparator.comparing(FirstChoiceEntry::fault).thenComparing(FirstChoiceEntry::rung))
                        .toList(),
                sets);
    }

    PlanRequest.Settings settings() {
        OwnSets own = sets == null ? OwnSets.USUAL : Invalid.in("sets", sets::toSets);
        return new PlanRequest.Settings(oneThing, lessonCheck != null && lessonCheck, first(), own);
    }

    FirstChoices first() {
        if (firstChoices == null) return FirstChoices.NONE;
        Map<StepId, List<String>> orders = new HashMap<>();
        firstChoices.forEach(c ->
                orders.put(new StepId(fault("firstChoices", c.fault()), rung("firstChoices", c.rung())), c.drills()));
        return Invalid.in("firstChoices", () -> new FirstChoices(orders));
    }

    /** The student with what they will have for this plan. */
    Student equipped(Student student) {
        Student with = student;
        for (Equipment item : StudentEntry.set("kit", Equipment.class, kit)) with = with.with(item);
        return with;
    }

    Edits toEdits() {
        List<Locked> locked = new ArrayList<>();
        for (int i = 0; i < edits.locked().size(); i++) {
            LockedEntry entry = edits.locked().get(i);
            String field = "edits.locked[" + i + "]";
            Fault fault = fault(field, entry.fault());
            Rung rung = rung(field, entry.rung());
            Kind kind = kind(field, entry.kind());
            locked.add(Invalid.in(
                    field,
                    () -> new Locked(
                            entry.date(), fault, rung, entry.drill(), kind, entry.sets(), entry.repsPerSet())));
        }
        Set<Dropped> dropped = new HashSet<>();
        edits.dropped()
                .forEach(d -> dropped.add(new Dropped(
                        d.date(),
                        fault("edits.dropped", d.fault()),
                        Optional.ofNullable(d.rung()).map(r -> rung("edits.dropped", r)),
                        kind("edits.dropped", d.kind()))));
        Map<StepId, String> chosen = new HashMap<>();
        edits.chosen()
                .forEach(c -> chosen.put(
                        new StepId(fault("edits.chosen", c.fault()), rung("edits.chosen", c.rung())), c.drill()));
        Map<StepId, String> instead = new HashMap<>();
        edits.instead()
                .forEach(c -> instead.put(
                        new StepId(fault("edits.instead", c.fault()), rung("edits.instead", c.rung())), c.drill()));
        Map<StepId, String> joined = new HashMap<>();
        edits.joined()
                .forEach(j -> joined.put(
                        new StepId(fault("edits.joined", j.fault()), rung("edits.joined", j.rung())), j.drill()));
        return Invalid.in(
                "edits.locked",
                () -> new Edits(locked, dropped, chosen, steps("edits.skipped", edits.skipped()))
                        .inShortSets(steps("edits.shortSets", edits.shortSets()))
                        .goingOn(steps("edits.ahead", edits.ahead()))
                        .easing(steps("edits.easier", edits.easier()))
                        .goingOnWith(instead)
                        .joining(joined)
                        .proposing(steps(
                                "edits.chosen",
                                edits.chosen().stream()
                                        .filter(ChosenEntry::proposed)
                                        .map(c -> new StepEntry(c.fault(), c.rung()))
                                        .toList())));
    }

    private static Set<StepId> steps(String field, List<StepEntry> entries) {
        return entries.stream()
                .map(s -> new StepId(fault(field, s.fault()), rung(field, s.rung())))
                .collect(Collectors.toSet());
    }

    private static Fault fault(String field, String id) {
        return Invalid.in(field + ".fault", () -> Identified.of(Fault.class, id));
    }

    private static Rung rung(String field, String id) {
        return Invalid.in(field + ".rung", () -> Identified.of(Rung.class, id));
    }

    private static Kind kind(String field, String id) {
        return Invalid.in(field + ".kind", () -> Identified.of(Kind.class, id));
    }
}
