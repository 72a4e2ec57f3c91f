package app.hodegon.core.progress;

import app.hodegon.core.swing.Identified;

/**
 * How far a value lies from where it should be.
 *
 * @param value 0 inside the corridor, else the way to its nearer edge, negative below it
 * @param where whether the value's interval lies inside, outside, or across an edge
 */
public record Distance(double value, Where where) {

    /** Where the interval of a value lies. */
    public enum Where implements Identified {
        INSIDE("inside"),
        ACROSS("across"),
        OUTSIDE("outside");

        private final String id;

        Where(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /**
     * @param low and high: the corridor's edges, in the unit of the estimate
     */
    public static Distance of(Estimate estimate, double low, double high) {
        double value = estimate.value() < low ? estimate.value() - low : Math.max(0, estimate.value() - high);
        boolean inside = estimate.low() >= low && estimate.high() <= high;
        boolean outside = estimate.high() < low || estimate.low() > high;
        return new Distance(value, inside ? Where.INSIDE : outside ? Where.OUTSIDE : Where.ACROSS);
    }
}
