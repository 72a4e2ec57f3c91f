package app.hodegon.core.approach;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import java.util.List;

/** How a school wants the load to move: a corridor of trail share (%) for each checkpoint. */
public enum PressureSchool implements Identified {
    EARLY_RETURN(
            "early-return",
            "Load early, back by the top",
            "Read most often off plates for strong ball-strikers with irons; leaves the downswing free for pushing.",
            List.of(c(45, 55), c(20, 45), c(65, 85), c(70, 90), c(40, 60), c(20, 40), c(10, 25), c(0, 10))),
    FULL_LOAD(
            "full-load",
            "Full load at the top",
            "About four fifths on the trail foot at the top, even again when the lead arm is level.",
            List.of(c(45, 55), c(45, 65), c(60, 75), c(70, 85), c(70, 85), c(40, 52), c(5, 20), c(0, 5))),
    CENTRED(
            "centred",
            "Centred",
            "Starts on the lead side and loads by turning in place, pressure on the inner edge.",
            List.of(c(35, 45), c(40, 55), c(50, 65), c(55, 70), c(45, 60), c(25, 45), c(10, 25), c(0, 10))),
    ANKLE_TO_ANKLE(
            "ankle-to-ankle",
            "Ankle to ankle",
            "Exaggerated on purpose: nearly all under one ankle, then nearly all under the other. For students who"
                    + " cannot move at all.",
            List.of(c(45, 55), c(45, 60), c(60, 80), c(70, 90), c(80, 90), c(10, 25), c(10, 20), c(0, 10)));

    /**
     * A target range of trail share.
     *
     * @param low lower end, %
     * @param high upper end, %
     */
    public record Corridor(double low, double high) {

        /** How far a share lies outside, %; positive above, negative below, 0 within. */
        public double beyond(double share) {
            if (share > high) return share - high;
            return share < low ? share - low : 0;
        }
    }

    private final String id;
    private final String label;
    private final String why;
    private final List<Corridor> corridors;

    PressureSchool(String id, String label, String why, List<Corridor> corridors) {
        this.id = id;
        this.label = label;
        this.why = why;
        this.corridors = corridors;
    }

    private static Corridor c(double low, double high) {
        return new Corridor(low, high);
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** Within a sentence, after "because you teach". */
    public String taught() {
        return "the school \"" + label + "\"";
    }

    public String why() {
        return why;
    }

    public Corridor corridor(Checkpoint at) {
        return corridors.get(at.ordinal());
    }
}
