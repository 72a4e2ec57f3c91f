package app.hodegon.server.phone;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Notice;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.practice.Aside;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.Feel;
import app.hodegon.core.practice.Pain;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.practice.Told;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.phone.PhoneController.BlockEntry;
import app.hodegon.server.phone.PhoneController.PracticeEntry;
import app.hodegon.server.plan.PlanView.BlockView;
import app.hodegon.server.plan.PlanView.DayView;
import app.hodegon.server.plan.StoredPlan;
import app.hodegon.server.practice.StoredSession;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * Reads what the phone sends. A phone without a signal goes by the plan it has; where that has been laid again
 * meanwhile, what was done is kept as it was done and marked.
 */
record SessionReader(StoredPlan plan, DrillLibrary library) {

    private static final int MOST_BLOCKS = 20;

    /** Ids of other versions are made from what they stand for, and not by phones. */
    private static final int RANDOM = 4;

    /**
     * @param latest the latest day that it can be where the student is
     */
    StoredSession session(UUID id, PracticeEntry entry, LocalDate latest) {
        if (id.version() != RANDOM) throw new Invalid("id", "must be a random identifier (version 4).");
        Ahead.refuse(entry.day(), latest);
        if (entry.day().isBefore(plan.from()) || !entry.day().isBefore(plan.nextLesson())) {
            throw new Invalid("day", "The plan runs from " + plan.from() + " to " + plan.nextLesson() + ".");
        }
        Optional<DayView> day = plan.on(entry.day());
        List<BlockResult> results = new ArrayList<>();
        Set<Integer> seen = new HashSet<>();
        for (int i = 0; i < entry.blocks().size(); i++) {
            BlockEntry block = entry.blocks().get(i);
            String field = "blocks[" + i + "]";
            if (block.block() < 0 || block.block() >= MOST_BLOCKS) {
                throw new Invalid(field + ".block", "must be 0 to " + (MOST_BLOCKS - 1) + ".");
            }
            if (!seen.add(block.block())) throw new Invalid(field + ".block", "is there twice.");
            results.add(Invalid.in(field, () -> result(field, block, day)));
        }
        PracticeSession session = Invalid.in(
                "note",
                () -> new PracticeSession(
                        id,
                        entry.day(),
                        results,
                        Optional.ofNullable(entry.feel()).map(f -> Invalid.in("feel", () -> new Feel(f))),
                        pain(entry, day),
                        entry.balls().tally("balls"),
                        entry.note(),
                        entry.finished()));
        boolean asPlanned =
                day.filter(d -> results.stream().allMatch(r -> isOf(d, r))).isPresent();
        return new StoredSession(session, entry.edition(), !asPlanned);
    }

    private static boolean isOf(DayView day, BlockResult done) {
        // What came on top is of the day if it is about what the day is about.
        if (done.aside().isPresent()) {
            return day.blocks().stream()
                    .anyMatch(b -> b.fault().equals(done.fault().id()));
        }
        if (done.block() >= day.blocks().size()) return false;
        BlockView block = day.blocks().get(done.block());
        return block.drill().equals(done.drill())
                && block.fault().equals(done.fault().id())
                && block.rung().equals(done.rung().id())
                && block.kind().equals(done.kind().id());
    }

    private static Optional<Pain> pain(PracticeEntry entry, Optional<DayView> day) {
        return Optional.ofNullable(entry.pain()).map(p -> {
            Stream<String> drills = Stream.concat(
                    entry.blocks().stream().map(BlockEntry::drill),
                    day.stream().flatMap(d -> d.blocks().stream()).map(BlockView::drill));
            if (drills.noneMatch(p.drill()::equals)) throw new Invalid("pain.drill", "was not part of this day.");
            return Invalid.in("pain", () -> new Pain(PhoneController.joint(p.where()), p.score(), p.drill()));
        });
    }

    private BlockResult result(String field, BlockEntry entry, Optional<DayView> day) {
        if (!library.has(entry.drill())) throw new Invalid(field + ".drill", "is no drill of this coach's library.");
        Optional<Notice> notice = library.drill(entry.drill()).notice();
        for (String said : entry.noticed()) {
            if (notice.filter(n -> n.accepts(said)).isEmpty() && !said.isEmpty()) {
                throw new Invalid(field + ".noticed", "holds what the drill does not ask for: " + said + ".");
            }
        }
        Rung rung = Identified.of(Rung.class, entry.rung());
        Form form = entry.form() == null ? planned(entry, day) : Identified.of(Form.class, entry.form());
        if (rung.withBall() == (form == Form.NONE)) {
            throw new Invalid(field + ".form", "does not go with the rung " + rung.id() + ": " + form.id() + ".");
        }
        return new BlockResult(
                entry.block(),
                Identified.of(Fault.class, entry.fault()),
                entry.drill(),
                rung,
                Identified.of(Plan.Kind.class, entry.kind()),
                entry.marks(),
                form,
                Optional.ofNullable(entry.condition()),
                entry.told() == null
                        ? Told.noticing(entry.noticed())
                        : entry.told().told(field + ".told", entry.noticed()),
                Optional.ofNullable(entry.aside())
                        .map(a -> Invalid.in(field + ".aside", () -> Identified.of(Aside.class, a))));
    }

    /** The form of a block from a phone that does not say it yet. */
    private static Form planned(BlockEntry entry, Optional<DayView> day) {
        return day.filter(d -> entry.block() < d.blocks().size())
                .map(d -> d.blocks().get(entry.block()))
                .filter(b -> b.rung().equals(entry.rung()))
                .map(b -> Identified.of(Form.class, b.form()))
                .orElseGet(() -> Form.usual(Identified.of(Rung.class, entry.rung())));
    }
}
