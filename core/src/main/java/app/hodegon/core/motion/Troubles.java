package app.hodegon.core.motion;

import app.hodegon.core.motion.Trouble.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.IntToDoubleFunction;

/** Looks for what spoils a trace: cells that are dead or at their end, gaps, a drifting weight, a slow or noisy plate. */
final class Troubles {

    /** A cell that never bears more than this part of its foot's highest load bears nothing, %. */
    private static final double DEAD = 0.05;

    /** So long a cell must stay at its very highest value to be at its end, seconds. */
    private static final double FLAT = 0.03;

    /** A lost stretch up to this long is bridged without a word, seconds. */
    private static final double BRIDGED = 0.012;

    /** The body weighs the same before and after the swing, within so many percent. */
    private static final double STEADY_WEIGHT = 3;

    /** Noise of a sample's share, in points, over which readings suffer. */
    private static final double NOISY = 2;

    /** Below so many samples a second, times are coarse. */
    private static final double SLOW = 100;

    private Troubles() {}

    static List<Trouble> of(Trace trace) {
        List<Trouble> found = new ArrayList<>();
        gap(trace, found);
        if (trace.hasCells()) {
            for (Cell cell : Cell.values()) {
                IntToDoubleFunction load = i -> trace.load(cell, i);
                String name = "The " + name(cell) + " cell";
                if (dead(trace, load, highest(trace, i -> trace.load(cell.foot(), i)))) {
                    found.add(new Trouble(
                            Kind.DEAD_CELL,
                            name
                                    + " bears nothing all through: it may be dead, and the halves of that foot are not to be"
                                    + " trusted."));
                } else if (saturated(trace, load)) {
                    found.add(new Trouble(
                            Kind.SATURATED_CELL,
                            name + " stays at its highest value: it is at its end, and bears more than it says."));
                }
            }
        } else {
            for (Foot foot : Foot.values()) {
                IntToDoubleFunction load = i -> trace.load(foot, i);
                String name = "The channel of the {" + foot.id() + "} foot";
                if (dead(trace, load, highest(trace, i -> trace.load(Foot.LEAD, i) + trace.load(Foot.TRAIL, i)))) {
                    found.add(new Trouble(Kind.DEAD_CELL, name + " bears nothing all through: it may be dead."));
                } else if (saturated(trace, load)) {
                    found.add(new Trouble(
                            Kind.SATURATED_CELL,
                            name + " stays at its highest value: it is at its end, and bears more than it says."));
                }
            }
        }
        double noise = trace.trailShare().noise();
        if (noise > NOISY) {
            found.add(new Trouble(
                    Kind.NOISY,
                    String.format(Locale.ROOT, "The shares shake by %.1f points from sample to sample.", noise)));
        }
        if (trace.rate() < SLOW) {
            found.add(new Trouble(
                    Kind.SLOW_PLATE,
                    String.format(
                            Locale.ROOT,
                            "%.0f samples a second: a time is only good to %.0f ms.",
                            trace.rate(),
                            500 / trace.rate())));
        }
        return found;
    }

    /** Compares the weight at rest before the swing and after it. */
    static void drift(Signal total, double before, double after, List<Trouble> found) {
        double change = 100 * (after / before - 1);
        if (Math.abs(change) > STEADY_WEIGHT) {
            found.add(new Trouble(
                    Kind.DRIFT,
                    String.format(
                            Locale.ROOT,
                            "At rest the plate says %.0f %% %s after the swing than before it: it drifts.",
                            Math.abs(change),
                            change > 0 ? "more" : "less")));
        }
    }

    private static String name(Cell cell) {
        return "{" + cell.foot().id() + "} " + (cell.front() ? "front " : "back ") + (cell.outer() ? "outer" : "inner");
    }

    private static void gap(Trace trace, List<Trouble> found) {
        int lost = 0;
        int longest = 0;
        int all = 0;
        for (int i = 0; i < trace.length(); i++) {
            lost = Double.isNaN(trace.load(Foot.LEAD, i) + trace.load(Foot.TRAIL, i)) ? lost + 1 : 0;
            if (lost > 0) all++;
            longest = Math.max(longest, lost);
        }
        if (longest / trace.rate() > BRIDGED) {
            found.add(new Trouble(
                    Kind.GAP,
                    String.format(
                            Locale.ROOT,
                            "%d samples are lost, %.0f ms of them at one stretch.",
                            all,
                            1000 * longest / trace.rate())));
        }
    }

    private static double highest(Trace trace, IntToDoubleFunction load) {
        double highest = 0;
        for (int i = 0; i < trace.length(); i++) {
            double value = load.applyAsDouble(i);
            if (value > highest) highest = value;
        }
        return highest;
    }

    private static boolean dead(Trace trace, IntToDoubleFunction load, double of) {
        return highest(trace, load) <= of * DEAD / 100;
    }

    /**
     * It rises to its highest value and stays there longer than at any other: one that is only told coarsely stays as
     * long at others.
     */
    private static boolean saturated(Trace trace, IntToDoubleFunction load) {
        double highest = highest(trace, load);
        if (highest == load.applyAsDouble(0)) return false;
        int atEnd = 0;
        int elsewhere = 0;
        int run = 0;
        for (int i = 0; i < trace.length(); i++) {
            double value = load.applyAsDouble(i);
            run = i > 0 && value == load.applyAsDouble(i - 1) ? run + 1 : 1;
            if (value == highest) atEnd = Math.max(atEnd, run);
            else if (value > 0) elsewhere = Math.max(elsewhere, run);
        }
        return atEnd >= FLAT * trace.rate() && atEnd > 3 && atEnd > 2 * elsewhere;
    }
}
