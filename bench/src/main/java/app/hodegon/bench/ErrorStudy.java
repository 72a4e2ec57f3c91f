package app.hodegon.bench;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.swing.Handedness;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** Errors of what was read from simulated swings, in groups that stand beside each other. */
final class ErrorStudy {

    /** Of the swings, this part has a fault. */
    static final double FAULTY = 0.6;

    /** What is compared, with the largest error wanted. */
    record What(String label, String unit, double wanted) {}

    private final List<What> all;
    private final Map<String, Map<What, List<Double>>> errors = new LinkedHashMap<>();

    /** @param all in the order of tables and plots */
    ErrorStudy(What... all) {
        this.all = List.of(all);
    }

    void add(String group, What what, double error) {
        errors.computeIfAbsent(group, g -> new LinkedHashMap<>())
                .computeIfAbsent(what, w -> new ArrayList<>())
                .add(Math.abs(error));
    }

    private List<Double> of(String group, What what) {
        return errors.getOrDefault(group, Map.of()).getOrDefault(what, List.of());
    }

    /** A group's table. */
    List<String> table(String group) {
        List<String> lines = new ArrayList<>(List.of(ErrorPlot.HEADING, ErrorPlot.RULE));
        for (What what : all) {
            if (!of(group, what).isEmpty()) {
                lines.add(ErrorPlot.row(what, of(group, what)));
            }
        }
        lines.add("");
        return lines;
    }

    /** One panel for each thing read, with a line for every group. */
    String plot() {
        return ErrorPlot.svg(all.stream()
                .map(what -> {
                    Map<String, List<Double>> series = new LinkedHashMap<>();
                    errors.keySet().forEach(group -> series.put(group, of(group, what)));
                    return new ErrorPlot.Panel(what, series);
                })
                .toList());
    }

    /** A swing of any golfer: every school, some with a fault of random strength, of any height. */
    static GolfSwing drawnSwing(Random random) {
        PressureSchool[] schools = PressureSchool.values();
        Fault[] faults = Fault.values();
        Map<Fault, Double> fault = random.nextDouble() < FAULTY
                ? Map.of(faults[random.nextInt(faults.length)], 0.3 + 0.7 * random.nextDouble())
                : Map.of();
        double height = 150 + 50 * random.nextDouble();
        return new Golfer(Handedness.RIGHT, height, schools[random.nextInt(schools.length)], fault, Pace.USUAL)
                .swing(random);
    }
}
