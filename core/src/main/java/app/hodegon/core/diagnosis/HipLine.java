package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The hip line at address for a wanted ball flight, and which part of the lead foot to press to get there: load in the
 * lead toes closes an open line, load in the lead heel opens a closed one.
 *
 * @param press where to press; empty when the line is where it should be
 * @param texts what to say and what to mind, for the student's hand
 */
public record HipLine(Flight wanted, Optional<Press> press, List<String> texts) {

    /** The flight a player sets up for, with the hip line that fits it; a few degrees are a working assumption. */
    public enum Flight implements Identified {
        STRAIGHT("straight", "Straight", -5, 5),
        DRAW("draw", "Draw", -8, -2),
        FADE("fade", "Fade", 2, 8);

        private final String id;
        private final String label;
        private final double low;
        private final double high;

        Flight(String id, String label, double low, double high) {
            this.id = id;
            this.label = label;
            this.low = low;
            this.high = high;
        }

        @Override
        public String id() {
            return id;
        }

        public String label() {
            return label;
        }

        /** The most closed hip line that fits, °, open is plus. */
        public double low() {
            return low;
        }

        /** The most open hip line that fits, °. */
        public double high() {
            return high;
        }
    }

    /** Part of the lead foot. */
    public enum Press implements Identified {
        LEAD_TOE("lead-toe"),
        LEAD_HEEL("lead-heel");

        private final String id;

        Press(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /**
     * @param degrees the hip line at address, open is plus, −180 to 180
     * @param likely faults graded likely, for which a press may be the wrong one
     */
    public static HipLine at(double degrees, Flight wanted, Set<Fault> likely, Handedness hand) {
        Optional<Press> press = degrees > wanted.high
                ? Optional.of(Press.LEAD_TOE)
                : degrees < wanted.low ? Optional.of(Press.LEAD_HEEL) : Optional.empty();
        List<String> texts = new ArrayList<>();
        texts.add(said(degrees) + (press.isEmpty() ? ": fits" : ": does not fit") + " a " + wanted.label.toLowerCase()
                + " ball (" + range(wanted) + ").");
        press.ifPresent(p -> texts.add(
                p == Press.LEAD_TOE
                        ? "Press the {lead} toes into the ground until the hip line has closed, then leave them so."
                        : "Press the {lead} heel into the ground until the hip line has opened, then leave it so."));
        if (press.filter(Press.LEAD_TOE::equals).isPresent()) {
            texts.add("With the ball well forward the hips open by themselves: move the ball back first, then look.");
            if (likely.contains(Fault.CLOSED_SLIDE) || likely.contains(Fault.INSIDE_STUCK)) {
                texts.add(
                        "Only at address: more {lead}-toe load on the way down would make this player's slide worse.");
            }
        } else if (press.isPresent() && likely.contains(Fault.OVER_THE_TOP)) {
            texts.add("Only at address: an opening hip line feeds a club that already comes over the top.");
        }
        return new HipLine(wanted, press, texts.stream().map(hand::say).toList());
    }

    private static String said(double degrees) {
        long whole = Math.round(Math.abs(degrees));
        return whole == 0 ? "Hips square" : "Hips " + whole + "° " + (degrees > 0 ? "open" : "closed");
    }

    private static String range(Flight wanted) {
        return switch (wanted) {
            case STRAIGHT -> "within 5° of the target line";
            case DRAW -> "2 to 8° closed";
            case FADE -> "2 to 8° open";
        };
    }
}
