package app.hodegon.server.phone;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.Feel;
import app.hodegon.core.practice.Pain;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.phone.PhoneController.BlockEntry;
import app.hodegon.server.phone.PhoneController.PracticeEntry;
import app.hodegon.server.plan.PlanView.BlockView;
import app.hodegon.server.plan.PlanView.DayView;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Reads what the phone sends against the plan of that day: a phone says which block, the plan says what it was. */
record SessionReader(DayView day) {

    PracticeSession session(UUID id, PracticeEntry entry) {
        List<BlockResult> results = new ArrayList<>();
        Set<Integer> seen = new HashSet<>();
        for (int i = 0; i < entry.blocks().size(); i++) {
            BlockEntry block = entry.blocks().get(i);
            String field = "blocks[" + i + "]";
            if (!seen.add(block.block())) throw new Invalid(field + ".block", "is there twice.");
            results.add(Invalid.in(field, () -> result(field, block)));
        }
        Optional<Feel> feel = Optional.ofNullable(entry.feel()).map(f -> Invalid.in("feel", () -> new Feel(f)));
        Optional<Pain> pain = Optional.ofNullable(entry.pain()).map(p -> {
            if (day.blocks().stream().noneMatch(b -> b.drill().equals(p.drill()))) {
                throw new Invalid("pain.drill", "was not part of this day.");
            }
            return Invalid.in("pain", () -> new Pain(PhoneController.joint(p.where()), p.score(), p.drill()));
        });
        return Invalid.in(
                "note",
                () -> new PracticeSession(
                        id,
                        entry.day(),
                        results,
                        feel,
                        pain,
                        entry.balls().tally("balls"),
                        entry.note(),
                        entry.finished()));
    }

    private BlockResult result(String field, BlockEntry entry) {
        if (entry.block() < 0 || entry.block() >= day.blocks().size()) {
            throw new Invalid(
                    field + ".block", "must be 0 to " + (day.blocks().size() - 1) + ", a block of that day's plan.");
        }
        BlockView block = day.blocks().get(entry.block());
        return new BlockResult(
                entry.block(),
                Identified.of(Fault.class, block.fault()),
                block.drill(),
                Identified.of(Rung.class, block.rung()),
                Plan.Kind.valueOf(block.kind().toUpperCase(Locale.ROOT)),
                entry.marks());
    }
}
