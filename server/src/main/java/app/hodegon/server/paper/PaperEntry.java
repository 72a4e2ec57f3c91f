package app.hodegon.server.paper;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.Feel;
import app.hodegon.core.practice.Pain;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Tally;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.plan.PlanView.BlockView;
import app.hodegon.server.plan.PlanView.DayView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * What a student ticked for one day.
 *
 * @param ticks by the block's position in the day's plan, from 0: sets done, or good reps of a scored set; a block
 *     left out was not done
 * @param feel 5 where clear was ticked, 1 where lost was; null where neither was
 */
record PaperEntry(
        @NotNull @Size(max = 20) Map<@NotNull Integer, @NotNull Integer> ticks,
        Integer feel,
        @Valid PainEntry pain) {

    record PainEntry(
            @NotNull @Size(max = 20) String where,
            @NotNull Integer score,
            @NotNull @Size(max = 60) String drill) {}

    /** As a session of that day; ticks stand for reps that nobody judged. */
    PracticeSession toSession(UUID id, DayView day) {
        List<BlockResult> results = ticks.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(tick -> result(tick.getKey(), tick.getValue(), day))
                .toList();
        return new PracticeSession(
                id,
                day.date(),
                results,
                Optional.ofNullable(feel).map(f -> Invalid.in("feel", () -> new Feel(f))),
                Optional.ofNullable(pain).map(p -> toPain(p, day)),
                Tally.EMPTY,
                "",
                true);
    }

    private static BlockResult result(int index, int ticked, DayView day) {
        String field = "ticks." + index;
        if (index < 0 || index >= day.blocks().size()) throw new Invalid(field, "is no block of that day's plan.");
        BlockView block = day.blocks().get(index);
        Kind kind = Identified.of(Kind.class, block.kind());
        int most = kind == Kind.CHECK ? CheckSet.REPS : block.sets();
        if (ticked < 0 || ticked > most) throw new Invalid(field, "must be 0 to " + most + ".");
        return new BlockResult(
                index,
                Identified.of(Fault.class, block.fault()),
                block.drill(),
                Identified.of(Rung.class, block.rung()),
                kind,
                kind == Kind.CHECK
                        ? "+".repeat(ticked) + "-".repeat(most - ticked)
                        : "o".repeat(ticked * block.repsPerSet()),
                Identified.of(Form.class, block.form()),
                Optional.ofNullable(block.condition()));
    }

    private static Pain toPain(PainEntry pain, DayView day) {
        if (day.blocks().stream().noneMatch(b -> b.drill().equals(pain.drill))) {
            throw new Invalid("pain.drill", "was not part of this day.");
        }
        return Invalid.in("pain", () -> new Pain(Identified.of(Joint.class, pain.where), pain.score, pain.drill));
    }

    /** The other way: what must have been ticked for this session. */
    static PaperEntry of(PracticeSession session, DayView day) {
        return new PaperEntry(
                session.blocks().stream()
                        .filter(b -> b.block() < day.blocks().size())
                        .collect(Collectors.toMap(
                                BlockResult::block, b -> ticked(b, day.blocks().get(b.block())))),
                session.feel().map(Feel::value).orElse(null),
                session.pain()
                        .map(p -> new PainEntry(p.where().id(), p.score(), p.drill()))
                        .orElse(null));
    }

    private static int ticked(BlockResult done, BlockView block) {
        return done.kind() == Kind.CHECK ? done.good() : done.reps() / block.repsPerSet();
    }
}
