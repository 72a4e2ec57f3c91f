package app.hodegon.core.diagnosis;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.function.BiFunction;

/**
 * What earlier lessons leave to be believed of each fault before anything is seen today. A fault is there, fading or gone;
 * weeks of practice on it, or on what brings it, let it fade and go, weeks without bring back what was only fading, and
 * what nobody looked at goes back to how common it is. Each lesson feeds it through the same network. The rates are
 * working assumptions.
 */
final class CarriedOver {

    /** Of a fault that is there, in a week practised as planned: how much begins to fade, and of that how much goes. */
    private static final double FADES = 0.25;

    private static final double GOES = 0.35;

    /** What is brought about by the fault worked on follows it at this share. */
    private static final double FOLLOWS = 0.5;

    /** In a week without practice on it: what only faded is there again, and what was gone comes back. */
    private static final double RETURNS = 0.10;

    private static final double COMES_BACK = 0.01;

    /** How often a fault that is fading still shows. */
    private static final double SHOWS = 0.5;

    /** Weeks after which half of what was known is as good as nothing known. */
    private static final double HALF_KNOWN = 12;

    /** One lesson's clear evidence overturns whatever was carried over: its odds count at most this much. */
    private static final double MOST = 5;

    private static final double[] COMMON =
            Posterior.after(List.of()).calibrated().probabilities();

    private final double[] there = COMMON.clone();
    private final double[] fading = new double[there.length];

    private CarriedOver() {}

    /**
     * By the fault's ordinal, how many times its odds are what they would be of anybody; within bounds.
     *
     * @param history oldest first
     * @param on the day of the lesson it is carried over to
     * @param believe what a lesson's observations make of each fault, beginning from such odds
     */
    static double[] odds(List<PastLesson> history, LocalDate on, BiFunction<Observations, double[], double[]> believe) {
        CarriedOver carried = new CarriedOver();
        for (int i = 0; i < history.size(); i++) {
            PastLesson lesson = history.get(i);
            carried.learn(believe.apply(lesson.seen(), carried.odds()));
            LocalDate next = i + 1 < history.size() ? history.get(i + 1).on() : on;
            carried.pass(ChronoUnit.DAYS.between(lesson.on(), next) / 7.0, lesson);
        }
        return carried.odds();
    }

    private double[] odds() {
        double[] odds = new double[there.length];
        for (int f = 0; f < odds.length; f++) {
            double present = there[f] + SHOWS * fading[f];
            double ratio = present / (1 - present) / (COMMON[f] / (1 - COMMON[f]));
            odds[f] = Math.max(1 / MOST, Math.min(MOST, ratio));
        }
        return odds;
    }

    /** Each way of standing is believed as much more as it foretold what was found. */
    private void learn(double[] found) {
        for (int f = 0; f < found.length; f++) {
            double shows = there[f] + SHOWS * fading[f];
            double hides = 1 - shows;
            double still = (1 - SHOWS) * fading[f];
            double fadingNow = found[f] * SHOWS * fading[f] / shows + (1 - found[f]) * still / hides;
            there[f] = found[f] * there[f] / shows;
            fading[f] = fadingNow;
        }
    }

    private void pass(double weeks, PastLesson lesson) {
        double forgotten = 1 - Math.pow(0.5, weeks / HALF_KNOWN);
        for (Fault fault : Fault.values()) {
            int f = fault.ordinal();
            double practice = Math.min(1, lesson.practised()) * weeks * worked(fault, lesson);
            double rest = Math.max(0, weeks - practice);
            double fades = there[f] * (1 - Math.pow(1 - FADES, practice));
            double goes = fading[f] * (1 - Math.pow(1 - GOES, practice));
            double returns = (fading[f] - goes) * (1 - Math.pow(1 - RETURNS, rest));
            double gone = 1 - there[f] - fading[f];
            double back = gone * (1 - Math.pow(1 - COMES_BACK, rest));
            there[f] += returns + back - fades;
            fading[f] += fades - goes - returns;
            there[f] += forgotten * (COMMON[f] - there[f]);
            fading[f] -= forgotten * fading[f];
        }
    }

    /** How much of the practice is on this fault. */
    private static double worked(Fault fault, PastLesson lesson) {
        if (lesson.worked().contains(fault)) return 1;
        boolean brought =
                lesson.worked().stream().anyMatch(w -> Catalogue.standard().leadsTo(w, fault));
        return brought ? FOLLOWS : 0;
    }
}
