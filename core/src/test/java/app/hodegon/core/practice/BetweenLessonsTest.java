package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.practice.Attention.Situation;
import app.hodegon.core.practice.BetweenLessons.Series;
import app.hodegon.core.practice.BetweenLessons.Subject;
import app.hodegon.core.practice.BetweenLessons.Words;
import app.hodegon.core.progress.Better;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Club;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class BetweenLessonsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 12, 1);

    private static Ball ball(BallResult flight, BallResult strike) {
        return new Ball(Optional.of(flight), Optional.of(strike));
    }

    private static List<Ball> balls(int solid, int fat) {
        return Stream.concat(
                        Collections.nCopies(solid, ball(BallResult.STRAIGHT, BallResult.SOLID)).stream(),
                        Collections.nCopies(fat, ball(BallResult.SLICE, BallResult.FAT)).stream())
                .toList();
    }

    private static PracticeSession session(int day, BlockResult... blocks) {
        return PracticeSession.of(UUID.randomUUID(), DAY.plusDays(day), List.of(blocks));
    }

    private static BlockResult block(String drill, Rung rung, Told told, Optional<Aside> aside) {
        return new BlockResult(
                0, Fault.SWAY, drill, rung, Kind.MAIN, "++-++", Form.usual(rung), Optional.empty(), told, aside);
    }

    private static BlockResult struck(Club club, List<Ball> balls) {
        Told told = new Told(List.of(), List.of(70), Optional.of(club), balls, List.of());
        return block("disc-turn", Rung.SHORT, told, Optional.empty());
    }

    private static BlockResult noticed(String drill, String... said) {
        return block(drill, Rung.FEEL, Told.noticing(List.of(said)), Optional.empty());
    }

    private static List<Series> series(PracticeSession... sessions) {
        return BetweenLessons.of(
                new Words(List.of(sessions), List.of(), List.of(), List.of()), DrillLibrary.standard());
    }

    private static Series of(List<Series> all, Subject subject) {
        return all.stream().filter(s -> s.subject().equals(subject)).findFirst().orElseThrow();
    }

    @Test
    void ballsAreCountedByDayAndByClub() {
        List<Series> all = series(
                session(0, struck(Club.WEDGE, balls(3, 1))),
                session(2, struck(Club.WEDGE, balls(2, 0)), struck(Club.DRIVER, balls(0, 2))));
        Series fat = of(all, new Subject.OfBalls(BallResult.FAT, Optional.empty()));
        assertThat(fat.points())
                .extracting(p -> p.count().orElseThrow())
                .containsExactly(new Count(1, 4), new Count(2, 4));
        assertThat(fat.better()).contains(Better.LOWER);
        assertThat(fat.weeks(DAY, DAY.plusDays(8))).containsExactly(Optional.of(new Count(3, 8)), Optional.empty());
        assertThat(fat.weeks(DAY.minusDays(6), DAY.plusDays(2)))
                .containsExactly(Optional.of(new Count(1, 4)), Optional.of(new Count(2, 4)));
        assertThat(fat.between(DAY, DAY.plusDays(9))).contains(new Count(3, 8));
        assertThat(fat.between(DAY.plusDays(5), DAY.plusDays(9))).isEmpty();
        assertThat(of(all, new Subject.OfBalls(BallResult.SOLID, Optional.of(Club.WEDGE)))
                        .points())
                .hasSize(2);
        assertThat(of(all, new Subject.OfBalls(BallResult.SOLID, Optional.of(Club.DRIVER)))
                        .points())
                .extracting(p -> p.count().orElseThrow())
                .containsExactly(new Count(0, 2));
        assertThat(all)
                .as("what never turned up is no series")
                .noneMatch(s -> s.subject().equals(new Subject.OfBalls(BallResult.SHANK, Optional.empty())));
    }

    @Test
    void whatWasNoticedIsRightOrNot() {
        List<Series> all = series(
                session(0, noticed("edge-notice", "outer", "", "inner"), noticed("foot-fence", "1", "4")),
                session(1, noticed("edge-notice", "inner")));
        assertThat(of(all, new Subject.Noticed("edge-notice")).points())
                .extracting(p -> p.count().orElseThrow())
                .containsExactly(new Count(1, 2), new Count(1, 1));
        assertThat(of(all, new Subject.Noticed("foot-fence")).points())
                .extracting(p -> p.count().orElseThrow())
                .containsExactly(new Count(1, 2));
    }

    @Test
    void theFirstTenTellWhatStayedAndPassNothing() {
        PracticeSession back = session(
                5,
                new BlockResult(
                        3,
                        Fault.SWAY,
                        "disc-turn",
                        Rung.FEEL,
                        Kind.CHECK,
                        "++++++++--",
                        Form.NONE,
                        Optional.empty(),
                        Told.NOTHING,
                        Optional.of(Aside.FIRST_TEN)));
        assertThat(of(series(back), new Subject.FirstTen()).points())
                .extracting(p -> p.count().orElseThrow())
                .containsExactly(new Count(8, 10));
        assertThat(back.checks()).isEmpty();
    }

    @Test
    void whatWasLostOnTheWayIsALostCheck() {
        BlockResult check = new BlockResult(0, Fault.SWAY, "disc-turn", Rung.REHEARSE, Kind.CHECK, "+++++++++-");
        BlockResult below = block("disc-turn", Rung.FEEL, Told.NOTHING, Optional.of(Aside.BELOW));
        assertThat(session(0, check).checks().get(0).feel()).isEmpty();
        assertThat(session(0, check, below).checks().get(0).feel()).contains(Feel.LOST);
    }

    @Test
    void whatWasTooHardOnTheWayGoesOnInFives() {
        StepId feel = new StepId(Fault.SWAY, Rung.FEEL);
        BlockResult main = block("disc-turn", Rung.FEEL, easier(1), Optional.empty());
        assertThat(LayAgain.tooHard(session(0, main))).as("made easier once").isEmpty();
        assertThat(LayAgain.tooHard(session(0, block("disc-turn", Rung.FEEL, easier(2), Optional.empty()))))
                .containsExactly(feel);
        BlockResult below = block("disc-turn", Rung.PREPARE, Told.NOTHING, Optional.of(Aside.BELOW));
        assertThat(LayAgain.tooHard(session(0, main, below))).as("lost").containsExactly(feel);
        assertThat(LayAgain.inFives(Set.of(feel))).startsWith("Feel goes on in sets of five");
    }

    @Test
    void aHarderStepThatHeldGoesOnWithHalfSteps() {
        StepId feel = new StepId(Fault.SWAY, Rung.FEEL);
        Turn harder = new Turn(8, Turn.Kind.HARDER);
        assertThat(LayAgain.wentWell(session(0, marked("++++++++" + "+++-+", harder))))
                .containsExactly(feel);
        assertThat(LayAgain.wentWell(session(0, marked("++++++++" + "+-+-+", harder))))
                .as("did not hold")
                .isEmpty();
        assertThat(LayAgain.wentWell(session(0, marked("++++++++" + "+++", harder))))
                .as("hardly tried")
                .isEmpty();
        assertThat(LayAgain.wentWell(session(0, marked("+++++++++++++++++++++"))))
                .as("not taken")
                .isEmpty();
        BlockResult below = block("disc-turn", Rung.PREPARE, Told.NOTHING, Optional.of(Aside.BELOW));
        assertThat(LayAgain.wentWell(session(0, marked("++++++++" + "+++++", harder), below)))
                .as("lost later")
                .isEmpty();
        assertThat(LayAgain.onward(Set.of(feel))).startsWith("Feel goes on with its half-steps");
    }

    private static BlockResult marked(String marks, Turn... turns) {
        return new BlockResult(
                0,
                Fault.SWAY,
                "disc-turn",
                Rung.FEEL,
                Kind.MAIN,
                marks,
                Form.NONE,
                Optional.empty(),
                new Told(List.of(), List.of(), Optional.empty(), List.of(), List.of(turns)),
                Optional.empty());
    }

    private static Told easier(int times) {
        return new Told(
                List.of(),
                List.of(),
                Optional.empty(),
                List.of(),
                Collections.nCopies(times, new Turn(3, Turn.Kind.EASIER)));
    }

    @Test
    void roundsFeltSharesAndAgreementStandBesideThem() {
        List<Series> all = BetweenLessons.of(
                new Words(
                        List.of(),
                        List.of(new RoundPlayed(UUID.randomUUID(), DAY, 7, 4, RoundPlayed.Cost.TEE)),
                        List.of(new SelfCheck(
                                UUID.randomUUID(),
                                DAY,
                                Map.of(Checkpoint.ADDRESS, 50, Checkpoint.TOP, 80, Checkpoint.IMPACT, 40))),
                        List.of(
                                new SameSwing(DAY, "edge-notice", "inner", "outer"),
                                new SameSwing(DAY, "edge-notice", "outer", "outer"))),
                DrillLibrary.standard());
        assertThat(all)
                .extracting(Series::subject)
                .containsExactly(
                        new Subject.Agreement("edge-notice"),
                        new Subject.Thought(),
                        new Subject.Held(),
                        new Subject.FeltShare(Checkpoint.ADDRESS),
                        new Subject.FeltShare(Checkpoint.TOP),
                        new Subject.FeltShare(Checkpoint.IMPACT));
        assertThat(all.get(0).points().get(0).count()).contains(new Count(1, 2));
        assertThat(all.get(4).points().get(0).reading().orElseThrow().value()).isEqualTo(80);
        assertThat(all.get(4).better()).isEmpty();
        assertThatThrownBy(() -> new SelfCheck(UUID.randomUUID(), DAY, Map.of(Checkpoint.TOP, 80)))
                .hasMessageContaining("address, top and impact");
        assertThatThrownBy(() -> new RoundPlayed(UUID.randomUUID(), DAY, 11, 4, RoundPlayed.Cost.TEE))
                .hasMessageContaining("0 to 10");
    }

    private static List<Attention> attention(PracticeSession... practice) {
        return Attention.of(Situation.of(List.of(practice), Map.of()));
    }

    /** Days with so many solid ones of twenty, in the order practised. */
    private static PracticeSession[] strikes(int... solid) {
        return IntStream.range(0, solid.length)
                .mapToObj(day -> session(day, struck(Club.WEDGE, balls(solid[day], 20 - solid[day]))))
                .toArray(PracticeSession[]::new);
    }

    @Test
    void aStrikeThatFallsApartWantsTheCoach() {
        List<Attention> all = attention(strikes(17, 16, 17, 18, 9, 8));
        assertThat(all).extracting(Attention::kind).containsExactly(Attention.Kind.STRIKE);
        assertThat(all.get(0).reason()).contains("17 of 40 solid").contains("68 of 80 before");
        assertThat(all.get(0).from()).isEqualTo(DAY.plusDays(5));
        assertThat(attention(strikes(17, 16, 9, 8))).as("too little before").isEmpty();
        assertThat(attention(strikes(17, 16, 17, 18, 14, 13)))
                .as("within chance")
                .isEmpty();
        assertThat(attention(strikes(19, 8, 18, 9, 9, 8)))
                .as("no more than the days differ anyway")
                .isEmpty();
    }

    @Test
    void onlyTheSameRungIsCompared() {
        PracticeSession[] days = strikes(17, 16, 17, 18, 9, 8);
        for (int day = 4; day < 6; day++) {
            BlockResult was = days[day].blocks().get(0);
            days[day] = session(
                    day,
                    new BlockResult(
                            was.block(),
                            was.fault(),
                            was.drill(),
                            Rung.FULL,
                            was.kind(),
                            was.marks(),
                            was.form(),
                            was.condition(),
                            was.told(),
                            was.aside()));
        }
        assertThat(attention(days)).as("full swings are struck worse").isEmpty();
    }

    @Test
    void alwaysTheOtherEdgeWantsTheCoach() {
        PracticeSession one = session(0, noticed("edge-notice", "inner", "outer", "outer", "outer"));
        PracticeSession two = session(1, noticed("edge-notice", "outer", "outer", "outer"));
        List<Attention> all = attention(one, two);
        assertThat(all).extracting(Attention::kind).containsExactly(Attention.Kind.NOTICED);
        assertThat(all.get(0).reason()).contains("always “outer edge”").contains("Right in 1 of 7 sets");
        assertThat(all.get(0).subject().drill()).contains("edge-notice");
        assertThat(attention(one)).as("one day only").isEmpty();
        assertThat(attention(one, two, session(2, noticed("edge-notice", "inner"))))
                .isEmpty();
        assertThat(attention(
                        session(0, noticed("foot-fence", "4", "6", "5")),
                        session(1, noticed("foot-fence", "3", "9", "5"))))
                .extracting(Attention::reason)
                .singleElement()
                .asString()
                .contains("{4 cm}, {6 cm}");
    }
}
