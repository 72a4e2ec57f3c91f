package app.hodegon.core.practice;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Notice;
import app.hodegon.core.practice.Attention.Kind;
import app.hodegon.core.practice.Attention.Subject;
import app.hodegon.core.progress.Better;
import app.hodegon.core.progress.Comparison;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.progress.Estimate;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Tally;
import app.hodegon.core.swing.Units;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What goes wrong between lessons though the practice goes on: the strike falls apart, or it is always the other answer. */
final class Slipping {

    /** Days with balls that are looked at as the latest. */
    private static final int LATEST_DAYS = 2;

    /** Sets in a row with the same wrong answer. */
    private static final int SAME_WRONG = 6;

    private Slipping() {}

    static List<Attention> of(List<PracticeSession> practice, DrillLibrary library) {
        List<Attention> all = new ArrayList<>();
        strike(practice).ifPresent(all::add);
        all.addAll(noticed(practice, library));
        return all;
    }

    /** Fewer solid ones on the latest days than on those before, beyond chance (Newcombe 1998). */
    private static Optional<Attention> strike(List<PracticeSession> practice) {
        List<PracticeSession> withBalls = practice.stream()
                .filter(s -> s.allBalls().total(BallResult.Kind.STRIKE) > 0)
                .toList();
        int cut = withBalls.size() - LATEST_DAYS;
        if (cut < 1) return Optional.empty();
        Count before = solid(withBalls.subList(0, cut));
        Count now = solid(withBalls.subList(cut, withBalls.size()));
        Comparison change = Comparison.ofCounts(before, now, Better.HIGHER);
        if (change.verdict() != Verdict.WORSE) return Optional.empty();
        PracticeSession last = withBalls.get(withBalls.size() - 1);
        return Optional.of(new Attention(
                Kind.STRIKE,
                last.day().toString(),
                last.day(),
                Subject.NONE,
                "The strike falls apart: %d of %d solid on the last two days with balls, %d of %d before."
                        .formatted(now.hits(), now.of(), before.hits(), before.of())));
    }

    private static Count solid(List<PracticeSession> sessions) {
        Tally tally = sessions.stream().map(PracticeSession::allBalls).reduce(Tally.EMPTY, Tally::plus);
        return new Count(tally.of(BallResult.SOLID), tally.total(BallResult.Kind.STRIKE));
    }

    private record Said(PracticeSession on, String answer) {}

    /** The same wrong answer in the last sets of a drill, on more than one day. */
    private static List<Attention> noticed(List<PracticeSession> practice, DrillLibrary library) {
        Map<String, List<Said>> byDrill = new LinkedHashMap<>();
        for (PracticeSession session : practice) {
            for (BlockResult block : session.blocks()) {
                if (!library.has(block.drill())) continue;
                block.told().noticed().stream()
                        .filter(n -> !n.isEmpty())
                        .forEach(n -> byDrill.computeIfAbsent(block.drill(), d -> new ArrayList<>())
                                .add(new Said(session, n)));
            }
        }
        List<Attention> all = new ArrayList<>();
        byDrill.forEach((drill, said) -> library.drill(drill)
                .notice()
                .flatMap(n -> wrong(drill, said, n, library))
                .ifPresent(all::add));
        return all;
    }

    private static Optional<Attention> wrong(String drill, List<Said> said, Notice notice, DrillLibrary library) {
        if (said.size() < SAME_WRONG) return Optional.empty();
        List<Said> last = said.subList(said.size() - SAME_WRONG, said.size());
        boolean alike =
                last.stream().map(Said::answer).distinct().count() == 1 || notice.reply() instanceof Notice.Measured;
        boolean noneRight = last.stream().noneMatch(s -> notice.isRight(s.answer()));
        boolean twoDays = last.stream().map(s -> s.on().day()).distinct().count() > 1;
        if (!alike || !noneRight || !twoDays) return Optional.empty();
        PracticeSession on = last.get(last.size() - 1).on();
        String answers = notice.reply() instanceof Notice.Choices choices
                ? choices.answers().stream()
                        .filter(a -> a.id().equals(last.get(0).answer()))
                        .map(a -> "always “" + a.label().toLowerCase() + "”")
                        .collect(Collectors.joining())
                : last.stream()
                        .map(s -> Units.inText(s.answer(), ((Notice.Measured) notice.reply()).unit()))
                        .collect(Collectors.joining(", "));
        int right = (int) said.stream().filter(s -> notice.isRight(s.answer())).count();
        Estimate share = Estimate.of(new Count(right, said.size()));
        return Optional.of(new Attention(
                Kind.NOTICED,
                drill + " " + on.day(),
                on.day(),
                Subject.of(drill),
                "%s, last %d sets: %s. Right in %d of %d sets (%.0f to %.0f %%)."
                        .formatted(
                                library.drill(drill).name(),
                                SAME_WRONG,
                                answers,
                                right,
                                said.size(),
                                share.low(),
                                share.high())));
    }
}
