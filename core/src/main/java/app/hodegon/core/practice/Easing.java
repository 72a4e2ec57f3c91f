package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.PlanRequest.Ease;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What pain in practice asks of the days after it. */
public final class Easing {

    /** Pain that stopped a drill is gone easy on for so many days. */
    private static final int DAYS = 7;

    private Easing() {}

    /**
     * @param practice sessions of the last weeks, oldest first
     * @param stopped drills that the coach has not lifted
     * @param from the first day that is laid
     * @param until how long a stop that is not lifted holds
     */
    public static Optional<Ease> of(
            List<PracticeSession> practice, Set<String> stopped, Set<Joint> flags, LocalDate from, LocalDate until) {
        Map<Fault, Rung> notAbove = new EnumMap<>(Fault.class);
        LocalDate before = from;
        for (PracticeSession session : practice) {
            Optional<Pain> pain = session.pain().filter(p -> p.stopsDrill(flags));
            if (pain.isEmpty()) continue;
            LocalDate end =
                    stopped.contains(pain.get().drill()) ? until : session.day().plusDays(DAYS + 1L);
            if (!end.isAfter(from)) continue;
            if (end.isAfter(before)) before = end;
            highest(session, pain.get().drill()).forEach((fault, rung) -> notAbove.merge(fault, rung, Easing::lower));
        }
        return before.equals(from) ? Optional.empty() : Optional.of(new Ease(notAbove, before));
    }

    /** Where each fault may be worked at most: on the rung that hurt, or else on the highest of that day. */
    private static Map<Fault, Rung> highest(PracticeSession session, String hurt) {
        Map<Fault, Rung> highest = new EnumMap<>(Fault.class);
        for (BlockResult block : session.work()) {
            highest.merge(block.fault(), block.rung(), (a, b) -> a.compareTo(b) > 0 ? a : b);
        }
        session.work().stream()
                .filter(b -> b.drill().equals(hurt) && b.kind() != Kind.REFRESH)
                .forEach(b -> highest.merge(b.fault(), b.rung(), Easing::lower));
        return highest;
    }

    private static Rung lower(Rung one, Rung other) {
        return one.compareTo(other) < 0 ? one : other;
    }
}
