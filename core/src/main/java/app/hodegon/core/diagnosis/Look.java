package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Source;
import java.util.Optional;

/** Something a coach could look at or measure next. */
public sealed interface Look {

    Effort effort();

    /** What it costs beside a glance, which costs 1; a number wants several swings watched. */
    double cost();

    record AtSign(Sign sign) implements Look {
        @Override
        public Effort effort() {
            return sign.effort();
        }

        @Override
        public double cost() {
            return effort().cost();
        }
    }

    /**
     * @param at empty for a measure of the whole swing
     */
    record AtMeasure(Measure measure, Optional<Checkpoint> at, Source source) implements Look {
        @Override
        public Effort effort() {
            if (measure == Measure.ANKLE_REACH) return Effort.SCREEN;
            return switch (source) {
                case FELT, SEEN -> Effort.EYE;
                case RULER -> Effort.SCREEN;
                case CLIP -> Effort.CLIP;
                case PLATE, MONITOR -> Effort.PLATE;
            };
        }

        @Override
        public double cost() {
            return effort().cost() + 1;
        }
    }
}
