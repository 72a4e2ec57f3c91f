package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.practice.Attention.Film;
import app.hodegon.core.practice.Attention.Kind;
import app.hodegon.core.practice.Attention.Situation;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Tally;
import app.hodegon.core.swing.Units;
import app.hodegon.core.track.View;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class AttentionTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);
    private static final StepId FEEL = new StepId(Fault.SWAY, Rung.FEEL);
    private static final List<LocalDate> DAYS =
            IntStream.range(0, 10).mapToObj(DAY::plusDays).toList();

    private static PracticeSession session(int day, int good, Optional<Pain> pain, String note) {
        String marks = "+".repeat(good) + "-".repeat(10 - good);
        return new PracticeSession(
                new UUID(0, day),
                DAY.plusDays(day),
                List.of(new BlockResult(0, Fault.SWAY, "disc-turn", Rung.FEEL, Plan.Kind.CHECK, marks)),
                Optional.of(new Feel(4)),
                pain,
                Tally.EMPTY,
                note,
                true);
    }

    private static PracticeSession scored(int day, int good) {
        return session(day, good, Optional.empty(), "");
    }

    private static List<Attention> of(Gates gates, PracticeSession... practice) {
        return of(Optional.of(DAY.plusDays(10)), gates, practice);
    }

    private static List<Attention> of(Optional<LocalDate> nextLesson, Gates gates, PracticeSession... practice) {
        return Attention.of(new Situation(
                DAYS,
                nextLesson,
                Map.of(FEEL, DAY.plusDays(2)),
                List.of(practice),
                Map.of(),
                Set.of(),
                gates,
                Optional.empty(),
                DrillLibrary.standard(),
                List.of(),
                Optional.empty(),
                Optional.empty()));
    }

    private static List<Kind> kinds(List<Attention> all, int day) {
        return all.stream()
                .filter(a -> !a.from().isAfter(DAY.plusDays(day)))
                .map(Attention::kind)
                .toList();
    }

    private static PracticeSession hurt(int day, String drill, int score) {
        return session(day, 7, Optional.of(new Pain(Joint.KNEE, score, drill)), "");
    }

    private static List<Attention> stopped(Map<String, LocalDate> since, PracticeSession... practice) {
        return Attention.of(new Situation(
                DAYS,
                Optional.empty(),
                Map.of(),
                List.of(practice),
                since,
                Set.of(),
                Gates.STANDARD,
                Optional.empty(),
                DrillLibrary.standard(),
                List.of(),
                Optional.empty(),
                Optional.empty()));
    }

    @Test
    void painIsSaidAsItWasLastTold() {
        List<Attention> all = stopped(
                Map.of("disc-turn", DAY.plusDays(3)),
                hurt(0, "disc-turn", 4),
                hurt(1, "outer-prop", 9),
                hurt(2, "disc-turn", 6));
        Attention pain = all.get(0);
        assertThat(pain.kind()).isEqualTo(Kind.PAIN);
        assertThat(pain.reason()).isEqualTo("Pain 6 of 10, knee: the drill is stopped until you lift it.");
        assertThat(pain.from())
                .as("the day of the practice, before it was stopped")
                .isEqualTo(DAY.plusDays(2));
        assertThat(pain.subject().drill()).contains("disc-turn");
        assertThat(pain.subject().step()).isEmpty();
    }

    @Test
    void painOfADayAheadHoldsFromWhenItWasStopped() {
        Attention pain =
                stopped(Map.of("disc-turn", DAY), hurt(2, "disc-turn", 6)).get(0);
        assertThat(pain.from()).isEqualTo(DAY);
        Attention untold = stopped(Map.of("disc-turn", DAY)).get(0);
        assertThat(untold.reason()).isEqualTo("the drill is stopped until you lift it.");
    }

    @Test
    void theMostUrgentComesFirst() {
        PracticeSession noted = session(1, 3, Optional.empty(), "Windy.");
        List<Attention> all = Attention.of(new Situation(
                DAYS,
                Optional.of(DAY.plusDays(10)),
                Map.of(),
                List.of(scored(0, 2), noted),
                Map.of("outer-prop", DAY.plusDays(1)),
                Set.of(noted.id()),
                Gates.STANDARD,
                Optional.empty(),
                DrillLibrary.standard(),
                List.of(),
                Optional.empty(),
                Optional.empty()));
        assertThat(all)
                .extracting(Attention::kind)
                .containsExactly(Kind.PAIN, Kind.LOST, Kind.ABSENT, Kind.PLAN_OVER, Kind.NOTE);
        assertThat(all.get(1).subject().step()).contains(FEEL);
        assertThat(all.get(4).subject().session()).contains(noted.id());
        assertThat(all.get(4).reason()).isEqualTo("“Windy.”");
    }

    @Test
    void nobodyIsMissedOnceTheLessonIsDueOrWasHeld() {
        assertThat(of(Gates.STANDARD).get(0).kind()).isEqualTo(Kind.ABSENT);
        assertThat(of(Gates.STANDARD).get(0).until()).contains(DAY.plusDays(10));
        assertThat(of(Optional.empty(), Gates.STANDARD)).isEmpty();
    }

    @Test
    void threePlannedDaysWithoutPracticeAreSeenOnTheFourth() {
        List<Attention> nothing = of(Gates.STANDARD);
        assertThat(kinds(nothing, 2)).isEmpty();
        assertThat(kinds(nothing, 3)).containsExactly(Kind.ABSENT);
        assertThat(kinds(nothing, 11)).containsExactly(Kind.ABSENT, Kind.PLAN_OVER);
        assertThat(kinds(of(Gates.STANDARD, scored(2, 6)), 5)).isEmpty();
        assertThat(kinds(of(Gates.STANDARD, scored(2, 6)), 6)).containsExactly(Kind.ABSENT);
        assertThat(nothing.get(0).reason()).contains("Tuesday 1 December");
    }

    @Test
    void twoPoorChecksRunningAreLostAndAGoodOneSettlesIt() {
        assertThat(kinds(of(Gates.STANDARD, scored(0, 4), scored(1, 3)), 1)).containsExactly(Kind.LOST);
        assertThat(of(Gates.STANDARD, scored(0, 4), scored(1, 3)).get(0).reason())
                .contains("4 of 10 and 3 of 10");
        assertThat(kinds(of(Gates.STANDARD, scored(0, 4), scored(1, 3), scored(2, 8)), 2))
                .isEmpty();
    }

    @Test
    void threeChecksRunningUnderTheGateAreStuckWhateverThePlanPromised() {
        assertThat(kinds(of(Gates.STANDARD, scored(1, 7), scored(3, 7)), 3)).isEmpty();
        List<Attention> stuck = of(Gates.STANDARD, scored(1, 7), scored(3, 6), scored(4, 7));
        assertThat(kinds(stuck, 3)).isEmpty();
        assertThat(kinds(stuck, 4)).containsExactly(Kind.STUCK);
        assertThat(stuck.get(0).reason())
                .isEqualTo("Feel is stuck: 7, 6, 7 of 10, it takes 8. Tried: disc turn."
                        + " Next: watch a set of it yourself, or ask for a film.");
        assertThat(kinds(of(Gates.STANDARD, scored(1, 7), scored(3, 8), scored(4, 7), scored(5, 7)), 5))
                .as("a good one between them")
                .isEmpty();
        assertThat(kinds(of(Gates.STANDARD, scored(1, 7), scored(1, 6), scored(1, 7)), 1))
                .as("all on one day")
                .isEmpty();
    }

    @Test
    void oneGoodCheckOfSixIsChance() {
        List<Attention> stuck =
                of(Gates.STANDARD, scored(1, 5), scored(2, 4), scored(3, 5), scored(4, 6), scored(5, 4), scored(6, 8));
        assertThat(kinds(stuck, 6)).containsExactly(Kind.STUCK);
        assertThat(stuck.get(0).reason())
                .startsWith("Feel is stuck: 5, 4, 5, 6, 4, 8 of 10, it takes 8 twice running.");
        assertThat(kinds(
                        of(
                                Gates.STANDARD,
                                scored(1, 5),
                                scored(2, 4),
                                scored(3, 8),
                                scored(4, 6),
                                scored(5, 4),
                                scored(6, 8)),
                        6))
                .as("two are not")
                .isEmpty();
    }

    @Test
    void aPromiseThatLiesAWeekBackIsStuckAfterOnePoorCheck() {
        List<Attention> late = of(Gates.STANDARD, scored(1, 7));
        LocalDate promised = DAY.plusDays(2);
        assertThat(late)
                .filteredOn(a -> a.kind() == Kind.STUCK)
                .extracting(Attention::from)
                .containsExactly(promised.plusDays(7));
        assertThat(of(Gates.STANDARD, scored(1, 8)))
                .as("one good one is on its way")
                .noneMatch(a -> a.kind() == Kind.STUCK);
    }

    @Test
    void aGateTheCoachSignsWaits() {
        Gates signs = new Gates(Map.of(FEEL, Gate.set(8, true)));
        assertThat(kinds(of(signs, scored(0, 8), scored(1, 9)), 1)).containsExactly(Kind.GATE_WAITS);
        assertThat(kinds(of(Gates.STANDARD, scored(0, 8), scored(1, 9)), 1)).isEmpty();
    }

    @Test
    void painComesFirstAndANoteLast() {
        PracticeSession sore = session(0, 6, Optional.of(new Pain(Joint.KNEE, 4, "disc-turn")), "It pulled.");
        List<Attention> all = Attention.of(new Situation(
                DAYS,
                Optional.of(DAY.plusDays(10)),
                Map.of(),
                List.of(sore),
                Map.of("disc-turn", DAY),
                Set.of(sore.id()),
                Gates.STANDARD,
                Optional.of(new Attention.Printed(DAY.minusDays(1), Set.of("disc-turn"))),
                DrillLibrary.standard(),
                List.of(),
                Optional.empty(),
                Optional.empty()));
        assertThat(kinds(all, 9)).containsExactly(Kind.PAIN, Kind.ABSENT, Kind.NOTE);
        assertThat(all.get(0).reason()).startsWith("Pain 4 of 10, knee").contains("paper printed on");
        assertThat(all.get(all.size() - 1).reason()).isEqualTo("“It pulled.”");
    }

    /** A plan from {@link #DAY} on of somebody without an account. */
    private static List<Attention> unreached(LocalDate invited, boolean printed, PracticeSession... practice) {
        return Attention.of(new Situation(
                DAYS,
                Optional.of(DAY.plusDays(10)),
                Map.of(),
                List.of(practice),
                Map.of(),
                Set.of(),
                Gates.STANDARD,
                printed ? Optional.of(new Attention.Printed(DAY, Set.of())) : Optional.empty(),
                DrillLibrary.standard(),
                List.of(),
                Optional.of(DAY),
                Optional.ofNullable(invited)));
    }

    @Test
    void stepsBackDoNotHideWhoStandsStillAndWhoRisesIsNotStuck() {
        List<Attention> still = of(
                Optional.empty(),
                Gates.STANDARD,
                scored(0, 5),
                scored(1, 2),
                scored(2, 3),
                scored(3, 6),
                scored(4, 3),
                scored(5, 4),
                scored(6, 6));
        assertThat(kinds(still, 6)).as("one check since the last step back").containsExactly(Kind.STUCK);
        assertThat(kinds(
                        of(
                                Optional.empty(),
                                Gates.STANDARD,
                                scored(0, 3),
                                scored(1, 5),
                                scored(2, 5),
                                scored(3, 7),
                                scored(4, 7)),
                        6))
                .as("on the way")
                .isEmpty();
    }

    @Test
    void aPlanThatNobodyCanOpenWantsAnInvitation() {
        assertThat(kinds(unreached(null, false), -1)).as("on the eve").containsExactly(Kind.NOT_INVITED);
        assertThat(kinds(unreached(DAY, false), 2)).as("three days to open it").isEmpty();
        List<Attention> late = unreached(DAY, false);
        assertThat(kinds(late, 3)).contains(Kind.NOT_OPENED).doesNotContain(Kind.NOT_INVITED);
        assertThat(late).anyMatch(a -> a.reason().contains("was not opened"));
        assertThat(kinds(unreached(null, true), 2)).as("on paper").isEmpty();
        assertThat(kinds(unreached(null, false, scored(0, 7)), 2))
                .as("practised")
                .isEmpty();
    }

    private static PracticeSession brushed(int day, int good, Form form) {
        String marks = "+".repeat(good) + "-".repeat(10 - good);
        return PracticeSession.of(
                new UUID(9, day),
                DAY.plusDays(day),
                List.of(new BlockResult(
                        0, Fault.SWAY, "disc-turn", Rung.SHORT, Plan.Kind.CHECK, marks, form, Optional.empty())));
    }

    @Test
    void aGateThatOnlyABallCanCloseIsSaid() {
        List<Attention> all = of(Gates.STANDARD, brushed(0, 8, Form.BRUSH), brushed(1, 9, Form.BRUSH));
        assertThat(kinds(all, 1)).containsExactly(Kind.BALL_MISSING);
        assertThat(all)
                .extracting(Attention::reason)
                .contains(
                        "On “short ball”, for sway, only a real ball is missing: 8, 9 of 10 without one. Ten balls in the next"
                                + " lesson, a net or one range day pass it.");
        assertThat(kinds(of(Gates.STANDARD, brushed(0, 8, Form.BRUSH)), 0))
                .as("one check is not enough")
                .isEmpty();
        assertThat(kinds(of(Gates.STANDARD, brushed(0, 8, Form.BRUSH), brushed(1, 7, Form.BRUSH)), 1))
                .as("under the gate")
                .isEmpty();
        assertThat(kinds(of(Gates.STANDARD, brushed(0, 8, Form.BRUSH), brushed(1, 9, Form.RANGE)), 1))
                .as("passed")
                .isEmpty();
    }

    @Test
    void aFilmThatWasSentSaysWhatItShows() {
        UUID id = UUID.randomUUID();
        List<Attention> all = Attention.of(new Situation(
                List.of(),
                Optional.empty(),
                Map.of(),
                List.of(),
                Map.of(),
                Set.of(),
                Gates.STANDARD,
                Optional.empty(),
                DrillLibrary.standard(),
                List.of(
                        new Film(id, DAY, View.FACE_ON, OptionalDouble.of(6.2)),
                        new Film(UUID.randomUUID(), DAY, View.DOWN_THE_LINE, OptionalDouble.empty())),
                Optional.empty(),
                Optional.empty()));
        assertThat(all).extracting(Attention::kind).containsExactly(Kind.FILM, Kind.FILM);
        assertThat(all.get(0).subject().session()).contains(id);
        assertThat(Units.METRIC.say(all.get(0).reason()))
                .isEqualTo("A swing, filmed face on: the pelvis is 6 cm away from the target at the top.");
        assertThat(Units.IMPERIAL.say(all.get(0).reason())).contains("2.4 in away");
        assertThat(all.get(1).reason()).isEqualTo("A swing, filmed down the line.");
    }

    @Test
    void sidesAreTheStudentsOwn() {
        Attention attention = new Attention(Kind.STUCK, "key", DAY, Attention.Subject.NONE, "{Lead} foot spins out.");
        assertThat(attention.said(Handedness.RIGHT).reason()).isEqualTo("Left foot spins out.");
        assertThat(attention.said(Handedness.LEFT).reason()).isEqualTo("Right foot spins out.");
    }
}
