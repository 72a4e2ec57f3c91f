package app.hodegon.server.plate;

import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.motion.SwingCutter;
import app.hodegon.core.motion.SwingCutter.Cut;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/**
 * One coach's plate: takes its lines in order and cuts swings out of them. Samples that come twice are taken once, lost
 * ones are known as lost. Not for several threads at once.
 */
final class PlateFeed {

    /** A longer gap than this is no swing's any more, seconds. */
    private static final double LONGEST_GAP = 1;

    /** No swing has as many moments that a plate could tell. */
    private static final int MOST_EVENTS = 64;

    /** Events are remembered so long, seconds. */
    private static final double EVENTS_KEPT = 12;

    /** An event's time is good to so many ms. */
    private static final double EVENT_UNCERTAINTY = 5;

    private static final double HEAVIEST = 100_000;

    private PlateHeader header;
    private Handedness hand;
    private SwingCutter cutter;
    private long cutFrom;
    private long next;
    private long lost;
    private double clock;
    private double[] last = {};
    private final Deque<Event> events = new ArrayDeque<>();

    private record Event(Checkpoint at, double sample) {}

    /** A swing, with what the stream told of its moments. */
    record Heard(Cut cut, List<Moment> told) {}

    /** @throws IllegalArgumentException if the line is none of the stream's */
    Optional<Heard> take(JsonNode line) {
        if (line.has("rate")) {
            begin(PlateHeader.of(line));
            return Optional.empty();
        }
        if (header == null) throw new IllegalArgumentException("the header must come before the samples.");
        if (line.has("event")) {
            event(line);
            return Optional.empty();
        }
        if (line.has("v")) return sample(line);
        throw new IllegalArgumentException("a line has rate (a header), v (a sample) or event.");
    }

    void begin(PlateHeader begun) {
        boolean goesOn = header != null
                && !begun.stream().isEmpty()
                && begun.stream().equals(header.stream())
                && begun.equals(header);
        header = begun;
        if (goesOn) return;
        next = 0;
        lost = 0;
        clock = Double.NaN;
        last = new double[0];
        events.clear();
        cutter = null;
    }

    private void event(JsonNode line) {
        if (!line.path("t").isNumber()) throw new IllegalArgumentException("an event has a time, t, in seconds.");
        Checkpoint at = Identified.of(Checkpoint.class, line.path("event").asString());
        double sample = (line.path("t").asDouble() - (Double.isNaN(clock) ? 0 : clock)) * header.rate();
        events.removeIf(e -> e.sample() < sample - EVENTS_KEPT * header.rate());
        if (events.size() == MOST_EVENTS) events.removeFirst();
        events.addLast(new Event(at, sample));
    }

    private Optional<Heard> sample(JsonNode line) {
        long n = line.path("n").asLong(next);
        double[] values = values(line.path("v"));
        if (Double.isNaN(clock)) clock = line.path("t").asDouble(n / header.rate()) - n / header.rate();
        return sample(n, values);
    }

    /**
     * @param n its number; a sample that was taken already is not taken again
     * @param values of the channels, NaN where one was lost
     * @throws IllegalArgumentException if there are more or fewer, or one that no plate bears
     */
    Optional<Heard> sample(long n, double[] values) {
        if (values.length != header.channels().size()) {
            throw new IllegalArgumentException("a sample has one value for each of the %d channels."
                    .formatted(header.channels().size()));
        }
        for (double value : values) {
            if (Math.abs(value) > HEAVIEST) throw new IllegalArgumentException("no plate bears so much.");
        }
        if (n < next) return Optional.empty();
        long gap = next == 0 ? 0 : n - next;
        lost += gap;
        next = n + 1;
        if (hand == null) return Optional.empty();
        if (cutter == null || gap > LONGEST_GAP * header.rate()) restart(n);
        Optional<Cut> cut = Optional.empty();
        double[] nothing = new double[header.hasCells() ? Cell.values().length : Foot.values().length];
        Arrays.fill(nothing, Double.NaN);
        if (cutFrom != n) for (long i = 0; i < gap && cut.isEmpty(); i++) cut = cutter.add(nothing);
        last = header.loads(values, hand);
        Optional<Cut> now = cutter.add(last);
        return cut.or(() -> now).map(this::heard);
    }

    private double[] values(JsonNode given) {
        double[] values = new double[given.size()];
        for (int i = 0; i < values.length; i++) {
            JsonNode value = given.get(i);
            if (!value.isNull() && !value.isNumber()) {
                throw new IllegalArgumentException("a value is a number, or null where it was lost.");
            }
            values[i] = value.isNull() ? Double.NaN : value.asDouble();
        }
        return values;
    }

    private void restart(long n) {
        cutter = new SwingCutter(header.rate(), header.unit(), header.hasCells());
        cutFrom = n;
    }

    private Heard heard(Cut cut) {
        List<Moment> told = new ArrayList<>();
        double from = cutFrom + cut.from();
        double least = 500 / header.rate();
        for (Checkpoint at : Checkpoint.values()) {
            events.stream()
                    .filter(e -> e.at() == at)
                    .map(e -> (e.sample() - from) / header.rate())
                    .filter(t -> t > 0 && t < cut.trace().duration())
                    .reduce((first, second) -> second)
                    .filter(t -> told.isEmpty() || told.get(told.size() - 1).seconds() < t)
                    .ifPresent(t -> told.add(new Moment(at, t, Origin.GIVEN, Math.max(EVENT_UNCERTAINTY, least))));
        }
        return new Heard(cut, told);
    }

    /** From now on somebody of this hand stands on it. */
    void stands(Handedness who) {
        if (who == hand) return;
        hand = who;
        cutter = null;
    }

    Optional<PlateHeader> header() {
        return Optional.ofNullable(header);
    }

    long lost() {
        return lost;
    }

    long samples() {
        return next;
    }

    /** The last sample's loads; empty if nobody listens. */
    double[] last() {
        return last.clone();
    }
}
