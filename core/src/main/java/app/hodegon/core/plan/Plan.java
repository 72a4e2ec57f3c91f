package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.swing.Identified;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** A route up the rungs laid on days, with every choice explained. */
public record Plan(
        List<Step> route,
        List<Day> days,
        Totals totals,
        List<Kit> kit,
        List<LeftOut> leftOut,
        List<String> cautions,
        List<Warning> warnings) {

    /**
     * One rung of the climb for one fault.
     *
     * @param gate empty for preparing, which is done or not
     * @param why why this drill, in a sentence
     */
    public record Step(Rung rung, Fault fault, String drill, Optional<Gate> gate, String why) {}

    /**
     * @param seconds all blocks and the setting up; never more than the student has
     */
    public record Day(LocalDate date, Place place, int seconds, List<Block> blocks) {

        /** Whether anything of it is owed: a round with its tries is not. */
        public boolean hasWork() {
            return blocks.stream().anyMatch(b -> b.kind() != Kind.TRY);
        }
    }

    /** What a block is for. */
    public enum Kind implements Identified {
        REFRESH("refresh"),
        MAIN("main"),
        CHECK("check"),
        /** The climb within a range session, above the day's rung: it does not count. */
        TRY("try");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /**
     * Sets of one drill on one rung.
     *
     * @param repsPerSet rehearsals and strikes together
     * @param restSeconds after each set
     * @param strikes how many of all reps are strikes, of whatever form
     * @param seconds rests included
     * @param scored whether each rep is counted good or not for the gate
     * @param contrast how many of the reps are deliberately wrong, to feel the difference
     * @param locked whether the coach wants it to stay as it is
     * @param harder whether the drill's harder form is due: the plan is past this rung and only keeps it up
     * @param condition the half-step; empty for the plain form
     * @param form what the club meets
     * @param speed percent of full speed; 0 where nothing is swung or turned fast
     * @param joined a second drill that is done at once with it; empty for most
     */
    public record Block(
            Fault fault,
            String drill,
            Rung rung,
            Kind kind,
            int sets,
            int repsPerSet,
            int restSeconds,
            int strikes,
            int seconds,
            String cue,
            boolean scored,
            int contrast,
            boolean locked,
            boolean harder,
            Optional<HalfStep> condition,
            Form form,
            int speed,
            Optional<String> joined) {

        public int reps() {
            return sets * repsPerSet;
        }

        public int balls() {
            return form.realBall() ? strikes : 0;
        }

        /** What is done in it: its own drill, and what goes along. */
        Stream<String> drills() {
            return Stream.concat(Stream.of(drill), joined.stream());
        }

        /** Whether two days with these main blocks look the same. */
        public boolean looksLike(Block other) {
            return drill.equals(other.drill)
                    && rung == other.rung
                    && form == other.form
                    && condition.map(HalfStep::id).equals(other.condition.map(HalfStep::id));
        }

        Block withContrast(int reps) {
            return with(reps, locked, harder, condition, speed, joined);
        }

        Block keptByCoach() {
            return with(contrast, true, harder, condition, speed, joined);
        }

        Block madeHarder() {
            return with(contrast, locked, true, condition, speed, joined);
        }

        /** At half the speed, nothing wrong on purpose: it hurt. */
        Block eased() {
            return with(0, locked, false, condition, speed == 0 ? 0 : Math.max(SLOWEST, speed / 2), joined);
        }

        /** With a half-step and its speed. */
        Block under(HalfStep step) {
            int at = speed == 0 ? 0 : Math.max(SLOWEST, Math.min(100, speed + step.speed()));
            return with(contrast, locked, harder, Optional.of(step), at, joined);
        }

        /** Done at once with this drill, which is hard enough. */
        Block with(String partner) {
            return with(contrast, locked, false, condition, speed, Optional.of(partner));
        }

        private Block with(
                int contrast,
                boolean locked,
                boolean harder,
                Optional<HalfStep> condition,
                int speed,
                Optional<String> joined) {
            return new Block(
                    fault,
                    drill,
                    rung,
                    kind,
                    sets,
                    repsPerSet,
                    restSeconds,
                    strikes,
                    seconds,
                    cue,
                    scored,
                    contrast,
                    locked,
                    harder,
                    condition,
                    form,
                    speed,
                    joined);
        }

        private static final int SLOWEST = 20;
    }

    /**
     * @param reps of the work; tries are none
     * @param balls of them
     * @param wantedReps what the new movement wants before the next lesson
     */
    public record Totals(int reps, int balls, int seconds, int wantedReps) {}

    public record Kit(Equipment item, boolean have, Optional<String> substitute) {}

    public record LeftOut(String drill, String reason) {}

    public record Warning(String code, String text) {}
}
