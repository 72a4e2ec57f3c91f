package app.hodegon.core.motion;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.regex.Pattern;

/**
 * What the columns of a file with loads mean, as far as their headings tell.
 *
 * @param time column of the samples' times; empty where there is none, and the rate has to be said
 * @param perSecond how many of the time's units make a second: 1 or 1,000
 * @param unit of the loads
 * @param channels column by channel's name, by left and right; empty where neither two feet nor eight quarters are found
 */
public record TraceColumns(OptionalInt time, double perSecond, LoadUnit unit, Map<String, Integer> channels) {

    private static final Pattern TIME =
            Pattern.compile("\\b(time|timestamp|zeit|seconds|milliseconds)\\b|^(t|s|sec|ms|msec)$|^t (s|ms)$");
    private static final Pattern MILLISECONDS = Pattern.compile("\\b(ms|msec|millis|milliseconds)\\b");
    private static final Pattern LEFT =
            Pattern.compile("\\b(left|lft|l|lf|lfoot|links)\\b|^l(?=[a-z]*(heel|toe|front|back))");
    private static final Pattern RIGHT =
            Pattern.compile("\\b(right|rgt|r|rf|rfoot|rechts)\\b|^r(?=[a-z]*(heel|toe|front|back))");
    private static final Pattern FRONT = Pattern.compile("toe|front|fore");
    private static final Pattern BACK = Pattern.compile("heel|back|rear|hind");
    private static final Pattern INNER = Pattern.compile("inner|inside|medial|med\\b");
    private static final Pattern OUTER = Pattern.compile("outer|outside|lateral|lat\\b");

    /** No load, though a side may stand in it. */
    private static final Pattern OTHER = Pattern.compile("cop|angle|temp|batt|\\bx\\b|\\by\\b");

    private static final Map<LoadUnit, Pattern> UNITS = new LinkedHashMap<>(Map.of(
            LoadUnit.KILOGRAM, Pattern.compile("\\b(kg|kgf|kilograms?)\\b"),
            LoadUnit.POUND, Pattern.compile("\\b(lb|lbs|lbf|pounds?)\\b"),
            LoadUnit.PERCENT, Pattern.compile("%|\\b(percent|pct|share)\\b"),
            LoadUnit.NEWTON, Pattern.compile("\\b(n|newtons?)\\b")));

    public static TraceColumns guess(List<String> heading) {
        List<String> names = heading.stream()
                .map(h -> h.toLowerCase(Locale.ROOT).replaceAll("[^a-z%]+", " ").strip())
                .toList();
        OptionalInt time = first(names, TIME);
        double perSecond = time.isPresent() && found(MILLISECONDS, names.get(time.getAsInt())) ? 1000 : 1;
        Map<String, Integer> feet = new LinkedHashMap<>();
        Map<String, Integer> cells = new LinkedHashMap<>();
        for (int i = 0; i < names.size(); i++) {
            int column = i;
            String name = names.get(i);
            if (time.isPresent() && time.getAsInt() == i || found(OTHER, name)) continue;
            Optional<String> side = one(name, LEFT, "left", RIGHT, "right");
            Optional<String> length = one(name, FRONT, "front", BACK, "back");
            Optional<String> width = one(name, INNER, "inner", OUTER, "outer");
            if (side.isPresent() && length.isPresent() && width.isPresent()) {
                cells.putIfAbsent(String.join("-", side.get(), length.get(), width.get()), column);
            } else if (side.isPresent() && length.isEmpty() && width.isEmpty()) {
                feet.putIfAbsent(side.get(), column);
            }
        }
        Map<String, Integer> channels =
                cells.size() == Cell.values().length ? cells : feet.size() == Foot.values().length ? feet : Map.of();
        List<String> loads = new ArrayList<>();
        channels.values().forEach(i -> loads.add(names.get(i)));
        return new TraceColumns(time, perSecond, unit(loads), channels);
    }

    private static LoadUnit unit(List<String> names) {
        return UNITS.entrySet().stream()
                .filter(e -> !names.isEmpty() && names.stream().allMatch(n -> found(e.getValue(), n)))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(LoadUnit.NEWTON);
    }

    private static OptionalInt first(List<String> names, Pattern what) {
        for (int i = 0; i < names.size(); i++) if (found(what, names.get(i))) return OptionalInt.of(i);
        return OptionalInt.empty();
    }

    private static Optional<String> one(String name, Pattern first, String one, Pattern second, String other) {
        boolean isOne = found(first, name);
        boolean isOther = found(second, name);
        if (isOne == isOther) return Optional.empty();
        return Optional.of(isOne ? one : other);
    }

    private static boolean found(Pattern what, String name) {
        return what.matcher(name).find();
    }
}
