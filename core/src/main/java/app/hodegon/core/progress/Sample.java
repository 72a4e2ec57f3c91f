package app.hodegon.core.progress;

import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/** What a run of single values says in short. */
public record Sample(int n, double mean, double median) {

    /**
     * @throws IllegalArgumentException if there is no value
     */
    public static Sample of(double[] values) {
        if (values.length == 0) throw new IllegalArgumentException("A sample needs a value.");
        DescriptiveStatistics all = new DescriptiveStatistics(values);
        return new Sample(values.length, all.getMean(), all.getPercentile(50));
    }
}
