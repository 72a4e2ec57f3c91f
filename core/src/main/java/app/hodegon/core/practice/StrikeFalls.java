package app.hodegon.core.practice;

import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.practice.Attention.Kind;
import app.hodegon.core.practice.Attention.Subject;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Tally;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A strike that falls apart: fewer solid balls on the latest days than on those before, on the same rung with the same kind
 * of ball. It is looked at every day, and form changes from day to day: so far more than one chance in forty is asked for,
 * with the spread between the earlier days taken into account (a binomial with overdispersion, McCullagh and Nelder 1989).
 */
final class StrikeFalls {

    /** Days with balls that are looked at as the latest. */
    private static final int LATEST_DAYS = 2;

    /** Fewer days before them say nothing of how much a student's form changes. */
    private static final int FEWEST_BEFORE = 3;

    /** In standard errors; on level play passed less than once a year by chance. */
    private static final double FALLS = 3;

    /** What days differ more than balls alone would, at least. */
    private static final double LEAST_SPREAD = 1.5;

    private StrikeFalls() {}

    /** On what a ball was hit. */
    private record Like(Rung rung, Form form) {}

    private record OfDay(LocalDate day, int solid, int of) {}

    /** The surest of those that fell. */
    static Optional<Attention> of(List<PracticeSession> practice) {
        Map<Optional<Like>, List<OfDay>> alike = new LinkedHashMap<>();
        for (PracticeSession session : practice) {
            Map<Optional<Like>, Tally> today = new LinkedHashMap<>();
            today.put(Optional.empty(), session.balls());
            session.work()
                    .forEach(b -> today.merge(
                            Optional.of(new Like(b.rung(), b.form())),
                            Ball.tally(b.told().balls()),
                            Tally::plus));
            today.forEach((like, balls) -> {
                int of = balls.total(BallResult.Kind.STRIKE);
                if (of > 0) {
                    alike.computeIfAbsent(like, l -> new ArrayList<>())
                            .add(new OfDay(session.day(), balls.of(BallResult.SOLID), of));
                }
            });
        }
        Attention found = null;
        double surest = FALLS;
        for (Map.Entry<Optional<Like>, List<OfDay>> one : alike.entrySet()) {
            List<OfDay> days = one.getValue();
            int cut = days.size() - LATEST_DAYS;
            if (cut < FEWEST_BEFORE) continue;
            double falls = falls(days.subList(0, cut), days.subList(cut, days.size()));
            if (falls <= surest) continue;
            surest = falls;
            found = said(one.getKey(), days, cut);
        }
        return Optional.ofNullable(found);
    }

    /** By how many standard errors the latest days lie under the earlier ones. */
    private static double falls(List<OfDay> before, List<OfDay> latest) {
        Count then = count(before);
        Count now = count(latest);
        double was = (double) then.hits() / then.of();
        double is = (double) now.hits() / now.of();
        double all = (double) (then.hits() + now.hits() + 1) / (then.of() + now.of() + 2);
        double variance = all * (1 - all) * (1.0 / then.of() + 1.0 / now.of()) * spread(before);
        return (was - is) / Math.sqrt(variance);
    }

    /** How many times more the days differ than their balls alone would: Pearson's statistic by its degrees of freedom. */
    private static double spread(List<OfDay> days) {
        Count all = count(days);
        double p = (all.hits() + 0.5) / (all.of() + 1);
        double squares = 0;
        for (OfDay day : days) {
            double off = day.solid() - day.of() * p;
            squares += off * off / (day.of() * p * (1 - p));
        }
        return Math.max(LEAST_SPREAD, squares / (days.size() - 1));
    }

    private static Count count(List<OfDay> days) {
        return new Count(
                days.stream().mapToInt(OfDay::solid).sum(),
                days.stream().mapToInt(OfDay::of).sum());
    }

    private static Attention said(Optional<Like> like, List<OfDay> days, int cut) {
        Count before = count(days.subList(0, cut));
        Count now = count(days.subList(cut, days.size()));
        LocalDate last = days.get(days.size() - 1).day();
        return new Attention(
                Kind.STRIKE,
                last.toString(),
                last,
                Subject.NONE,
                "The strike falls apart%s: %d of %d solid on the last two days with balls, %d of %d before."
                        .formatted(
                                like.map(l -> " (%s, %s)"
                                                .formatted(
                                                        l.rung().label().toLowerCase(),
                                                        l.form().label().toLowerCase()))
                                        .orElse(""),
                                now.hits(),
                                now.of(),
                                before.hits(),
                                before.of()));
    }
}
