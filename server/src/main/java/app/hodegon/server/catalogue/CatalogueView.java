package app.hodegon.server.catalogue;

import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;

/**
 * The vocabulary of the product, said for one hand and in one person's units.
 *
 * @param scales how values in metric units, which all are on the wire, are said: by metric unit
 */
public record CatalogueView(
        @NotNull String version,
        @NotNull List<CheckpointView> checkpoints,
        @NotNull List<SignView> signs,
        @NotNull List<MeasureView> measures,
        @NotNull List<Named> sources,
        @NotNull List<Named> feedback,
        @NotNull List<NoticeKindView> notices,
        @NotNull List<BallResultView> ballResults,
        @NotNull List<FaultInfo> faults,
        @NotNull List<SchoolView> schools,
        @NotNull List<QuestionView> questions,
        @NotNull List<FlightView> flights,
        @NotNull List<Named> levels,
        @NotNull List<Named> ageBands,
        @NotNull List<Named> joints,
        @NotNull List<Named> places,
        @NotNull List<Named> shoes,
        @NotNull List<Named> grounds,
        @NotNull List<FormView> forms,
        @NotNull List<EquipmentView> equipment,
        @NotNull List<RungView> rungs,
        @NotNull PracticeRules practice,
        @NotNull Map<String, ScaleView> scales,
        @NotNull Map<String, DrillView> drills,
        @NotNull List<String> ownDrills,
        @NotNull List<SetAside> setAside) {

    /** The same with the coach's own drills among all. */
    CatalogueView with(List<String> own, Map<String, DrillView> all, List<SetAside> unreadable) {
        return new CatalogueView(
                version,
                checkpoints,
                signs,
                measures,
                sources,
                feedback,
                notices,
                ballResults,
                faults,
                schools,
                questions,
                flights,
                levels,
                ageBands,
                joints,
                places,
                shoes,
                grounds,
                forms,
                equipment,
                rungs,
                practice,
                scales,
                all,
                own,
                unreadable);
    }

    /**
     * A drill of the coach's that cannot be read.
     *
     * @param why what is wrong with it
     */
    public record SetAside(@NotNull String id, @NotNull String why) {}

    public record CheckpointView(
            @NotNull String id,
            @NotNull String label,
            @NotNull String brief) {}

    public record Named(@NotNull String id, @NotNull String label) {}

    /**
     * @param effort eye, or screen for the body screen
     * @param shows the fault that it speaks for most; null for none
     */
    public record SignView(
            @NotNull String id,
            @NotNull String at,
            @NotNull String effort,
            @NotNull String label,
            @NotNull String how,
            String shows) {}

    /**
     * @param asks the checkpoints at which it is asked for; empty for a measure of the whole swing
     */
    public record MeasureView(
            @NotNull String id,
            @NotNull String label,
            @NotNull String unit,
            @NotNull boolean atCheckpoint,
            @NotNull List<String> asks,
            @NotNull double lowest,
            @NotNull double highest,
            @NotNull List<String> sources) {}

    /**
     * @param factor by which the metric value is multiplied
     */
    public record ScaleView(@NotNull String unit, @NotNull double factor) {}

    public record BallResultView(
            @NotNull String kind,
            @NotNull String id,
            @NotNull String label) {}

    /**
     * @param balls the ball results it shows by itself, as kind and result: flight:slice
     */
    public record FaultInfo(
            @NotNull String id,
            @NotNull String label,
            @NotNull String stage,
            @NotNull String what,
            @NotNull String lookAlike,
            @NotNull String trap,
            @NotNull List<String> balls) {}

    /**
     * @param corridors trail share, %, low and high, by checkpoint
     */
    public record SchoolView(
            @NotNull String id,
            @NotNull String label,
            @NotNull String why,
            @NotNull Map<String, double[]> corridors) {}

    public record QuestionView(
            @NotNull String id,
            @NotNull String label,
            @NotNull List<ChoiceView> choices) {}

    /** An answer, the default one first. */
    public record ChoiceView(
            @NotNull String id,
            @NotNull String label,
            @NotNull String why) {}

    /**
     * A flight to set up for.
     *
     * @param low the most closed hip line that fits, °, open is plus
     * @param high the most open one
     */
    public record FlightView(
            @NotNull String id,
            @NotNull String label,
            @NotNull double low,
            @NotNull double high) {}

    /** @param usual whether every golfer has it: nobody is asked */
    public record EquipmentView(@NotNull String id, @NotNull String label, String substitute, boolean usual) {}

    /**
     * What the club meets on a ball rung, with less and less ball.
     *
     * @param how in a sentence
     * @param realBall whether a golf ball is hit
     */
    public record FormView(
            @NotNull String id,
            @NotNull String label,
            @NotNull String how,
            @NotNull boolean realBall) {}

    /** A small change within a rung. */
    public record HalfStepView(
            @NotNull String id,
            @NotNull String label,
            @NotNull String action) {}

    public record RungView(
            @NotNull String id,
            @NotNull String label,
            @NotNull int rehearsals,
            @NotNull int balls) {}

    /**
     * @param variations what the drill is, by rung
     * @param main faults it works on directly
     * @param helps faults it helps with
     * @param caution empty where only general cautions apply
     * @param bare whether it needs no prop
     * @param notice what is asked after each set; null for nothing
     * @param halfSteps small changes by rung, in the order in which they come up
     * @param next the half-step that a run of good ones brings, by rung; left out where it is the harder form
     * @param speeds percent of full speed by rung
     * @param firstFor answers and schools that regard it as one of their first, and signs that it answers
     * @param moving whether the golfer shows it
     * @param onPurpose the error as it may be made on purpose; null where none is safe
     * @param mistaken and its usual mistake
     */
    public record DrillView(
            @NotNull String id,
            @NotNull String name,
            @NotNull Map<String, String> variations,
            @NotNull String setUp,
            @NotNull String action,
            @NotNull String feel,
            @NotNull String good,
            @NotNull String mistake,
            @NotNull String fix,
            String onPurpose,
            @NotNull String easier,
            @NotNull String harder,
            @NotNull String cue,
            @NotNull String caution,
            @NotNull List<String> feedback,
            @NotNull List<String> main,
            @NotNull List<String> helps,
            @NotNull List<String> places,
            @NotNull List<String> needs,
            @NotNull List<String> schools,
            @NotNull List<String> clashes,
            @NotNull List<String> neverWith,
            @NotNull List<String> careWith,
            @NotNull List<String> after,
            @NotNull List<String> kit,
            @NotNull boolean bare,
            @NotNull DiagramView diagram,
            NoticeView notice,
            @NotNull Map<String, List<HalfStepView>> halfSteps,
            @NotNull Map<String, HalfStepView> next,
            @NotNull Map<String, Integer> speeds,
            @NotNull List<String> moves,
            @NotNull List<String> combines,
            @NotNull List<String> notIn,
            @NotNull List<String> onlyOn,
            @NotNull List<String> firstFor,
            @NotNull boolean moving,
            @NotNull boolean mistaken) {}

    /**
     * What is asked after each set.
     *
     * @param unit of a whole number; null where one of the answers is chosen
     * @param right ids of the answers that a good set has; empty for a number
     * @param from smallest right number; null where one of the answers is chosen
     * @param to largest right number
     */
    public record NoticeView(
            @NotNull String kind,
            @NotNull String question,
            String unit,
            @NotNull List<Named> answers,
            @NotNull List<String> right,
            Integer from,
            Integer to) {}

    /** A kind of notice as it is usually asked. */
    public record NoticeKindView(
            @NotNull String label, @NotNull NoticeView usual) {}

    /**
     * How a session goes on, and what may be said of it.
     *
     * @param misses so many running bring an easier form or more rehearsals
     * @param good so many running bring the next half-step
     * @param rehearsals put in before the next strike
     * @param gapDays days without practice after which the first ten are asked for
     */
    public record PracticeRules(
            @NotNull int misses,
            @NotNull int good,
            @NotNull int rehearsals,
            @NotNull int gapDays,
            @NotNull List<Named> clubs,
            @NotNull List<Named> swingLengths,
            @NotNull List<Named> costs) {}

    public record DiagramView(
            @NotNull String stance,
            @NotNull List<PropView> props,
            @NotNull List<String> press,
            @NotNull String move) {}

    public record PropView(@NotNull String shape, @NotNull String at) {}
}
