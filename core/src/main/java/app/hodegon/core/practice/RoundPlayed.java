package app.hodegon.core.practice;

import app.hodegon.core.swing.Identified;
import java.time.LocalDate;
import java.util.Objects;
import java.util.UUID;

/**
 * What a student says of the card after a round on the course: three questions, answered from memory.
 *
 * @param id made by the student's phone, so that sending twice stores once
 * @param thought before how many of ten shots the one thing came to mind
 * @param held in how many of ten it held
 * @param cost the shot that cost most
 */
public record RoundPlayed(UUID id, LocalDate day, int thought, int held, Cost cost) {

    /** Answers count of so many shots. */
    public static final int OF = 10;

    /** Which kind of shot cost most in a round. */
    public enum Cost implements Identified {
        NONE("none", "None in particular"),
        TEE("tee", "From the tee"),
        APPROACH("approach", "Into the green"),
        SHORT("short", "Around the green"),
        TROUBLE("trouble", "Out of trouble");

        private final String id;
        private final String label;

        Cost(String id, String label) {
            this.id = id;
            this.label = label;
        }

        @Override
        public String id() {
            return id;
        }

        public String label() {
            return label;
        }
    }

    public RoundPlayed {
        Objects.requireNonNull(id);
        Objects.requireNonNull(day);
        Objects.requireNonNull(cost);
        if (thought < 0 || thought > OF) throw new IllegalArgumentException("thought must be 0 to " + OF + ".");
        if (held < 0 || held > OF) throw new IllegalArgumentException("held must be 0 to " + OF + ".");
    }
}
