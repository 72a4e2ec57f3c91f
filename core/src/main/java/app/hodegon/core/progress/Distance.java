package app.hodegon.core.progress;

import app.hodegon.core.swing.Identified;

/**
 * How far a value lies from where it should be.
 *
 * @param value 0 on target, else the way to its nearer edge, negative below it
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

    public static Distance of(Estimate estimate, Target target) {
        double value = target.beyond(estimate.value());
        boolean inside = estimate.low() >= target.low() && estimate.high() <= target.high();
        boolean outside = estimate.high() < target.low() || estimate.low() > target.high();
        return new Distance(value, inside ? Where.INSIDE : outside ? Where.OUTSIDE : Where.ACROSS);
    }
}
