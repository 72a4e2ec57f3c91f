package app.hodegon.core.plan;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What changed between two plans of the same lesson, day by day, in words. */
public final class PlanDifference {

    private PlanDifference() {}

    /** A sentence per day whose main blocks differ; empty when nothing did. */
    public static List<String> between(List<Day> before, List<Day> after, DrillLibrary library) {
        Map<LocalDate, Day> then = byDate(before);
        Map<LocalDate, Day> now = byDate(after);
        TreeSet<LocalDate> dates = new TreeSet<>(then.keySet());
        dates.addAll(now.keySet());
        List<String> changes = new ArrayList<>();
        for (LocalDate date : dates) {
            String was = said(then.get(date), library);
            String is = said(now.get(date), library);
            if (was.equals(is)) continue;
            String day = Words.day(date) + ": ";
            if (is.isEmpty()) changes.add(day + "free now, was " + was + ".");
            else changes.add(day + is + (was.isEmpty() ? ", was free." : ", was " + was + "."));
        }
        return List.copyOf(changes);
    }

    private static Map<LocalDate, Day> byDate(List<Day> days) {
        return days.stream().collect(Collectors.toMap(Day::date, Function.identity()));
    }

    private static String said(Day day, DrillLibrary library) {
        if (day == null) return "";
        return day.blocks().stream()
                .filter(b -> b.kind() == Kind.MAIN)
                .map(b -> said(b, library))
                .collect(Collectors.joining(" and "));
    }

    private static String said(Block block, DrillLibrary library) {
        return library.drill(block.drill()).name().toLowerCase()
                + block.joined()
                        .map(other -> " with " + library.drill(other).name().toLowerCase())
                        .orElse("")
                + ", "
                + block.rung().label().toLowerCase() + ", " + block.sets() + " × " + block.repsPerSet();
    }
}
