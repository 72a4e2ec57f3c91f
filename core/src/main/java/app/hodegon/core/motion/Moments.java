package app.hodegon.core.motion;

import app.hodegon.core.swing.Checkpoint;
import java.util.Collection;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The moments of one swing as they are found: those that are known already stay, and each that is added keeps the order of
 * a swing.
 */
public final class Moments {

    /** Moments are told to so many seconds, so that the first and the last may seem to lie outside. */
    private static final double TOLD = 1e-4;

    private final Map<Checkpoint, Moment> moments = new EnumMap<>(Checkpoint.class);
    private final Set<Checkpoint> refused = EnumSet.noneOf(Checkpoint.class);

    private Moments() {}

    /**
     * @param known given or corrected, each at most once
     * @param first seconds of the first sample or picture
     * @param last of the last
     * @throws IllegalArgumentException in lead/trail placeholders, if one lies outside or they are not in the order of a swing
     */
    public static Moments of(Collection<Moment> known, double first, double last) {
        Moments all = new Moments();
        for (Moment moment : known) {
            double seconds = Math.max(first, Math.min(last, moment.seconds()));
            if (!(Math.abs(seconds - moment.seconds()) <= TOLD)) {
                throw new IllegalArgumentException("%s: lies outside what was recorded, which goes from %.3f to %.3f s."
                        .formatted(moment.at().label(), first, last));
            }
            all.moments.put(moment.at(), new Moment(moment.at(), seconds, moment.from(), moment.uncertainty()));
        }
        Moment before = null;
        for (Moment moment : all.moments.values()) {
            if (before != null && before.seconds() >= moment.seconds()) {
                throw new IllegalArgumentException(moment.at().label() + ": must come after "
                        + before.at().label().toLowerCase() + ".");
            }
            before = moment;
        }
        return all;
    }

    /** Adds one, unless it is known already; one that would break the order is left open. */
    public void add(Moment moment) {
        if (moments.containsKey(moment.at())) return;
        List<Moment> against = moments.values().stream()
                .filter(m -> m.at().compareTo(moment.at()) < 0 == m.seconds() >= moment.seconds())
                .toList();
        if (against.isEmpty()) moments.put(moment.at(), moment);
        else if (against.stream().anyMatch(m -> m.from() != Origin.FOUND)) refused.add(moment.at());
    }

    public boolean has(Checkpoint at) {
        return moments.containsKey(at);
    }

    public Optional<Moment> at(Checkpoint at) {
        return Optional.ofNullable(moments.get(at));
    }

    /** When it was, in seconds. */
    public Optional<Double> seconds(Checkpoint at) {
        return at(at).map(Moment::seconds);
    }

    /** In the order of the swing. */
    public List<Moment> all() {
        return List.copyOf(moments.values());
    }

    /** What is to be said of those that were found, and cannot be where another was set. */
    public Optional<Trouble> unfitting() {
        if (refused.isEmpty()) return Optional.empty();
        String names =
                refused.stream().map(at -> at.brief().toLowerCase(Locale.ROOT)).collect(Collectors.joining(", "));
        return Optional.of(new Trouble(
                Trouble.Kind.UNFITTING, "Left open, since they do not fit the moments that were set: " + names + "."));
    }
}
