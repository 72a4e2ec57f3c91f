package app.hodegon.core.practice;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Notice;
import app.hodegon.core.practice.Attention.Kind;
import app.hodegon.core.practice.Attention.Subject;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.progress.Estimate;
import app.hodegon.core.swing.Units;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What goes wrong between lessons though the practice goes on: the strike falls apart, or it is always the other answer. */
final class Slipping {

    /** Sets in a row with the same wrong answer. */
    private static final int SAME_WRONG = 6;

    private Slipping() {}

    static List<Attention> of(List<PracticeSession> practice, DrillLibrary library) {
        List<Attention> all = new ArrayList<>();
        StrikeFalls.of(practice).ifPresent(all::add);
        all.addAll(noticed(practice, library));
        return all;
    }

    private record Said(PracticeSession on, String answer) {}

    /** The same wrong answer in the last sets of a drill, on more than one day. */
    private static List<Attention> noticed(List<PracticeSession> practice, DrillLibrary library) {
        Map<String, List<Said>> byDrill = new LinkedHashMap<>();
        for (PracticeSession session : practice) {
            for (BlockResult block : session.work()) {
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
