package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.Offers.Offer;
import app.hodegon.core.plan.Week.Slot;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class OffersTest {

    private static final Planner PLANNER = new Planner(DrillLibrary.standard());
    private static final LocalDate FROM = LocalDate.of(2026, 12, 1);
    private static final Map<DayOfWeek, Slot> WEEK = Map.of(
            DayOfWeek.TUESDAY, new Slot(12, Place.HOME),
            DayOfWeek.THURSDAY, new Slot(15, Place.HOME),
            DayOfWeek.SATURDAY, new Slot(50, Place.RANGE));

    private static PlanRequest request(Map<DayOfWeek, Slot> week, Fault... faults) {
        return new PlanRequest(
                new Student(
                        Handedness.LEFT,
                        Level.IMPROVER,
                        AgeBand.ADULT,
                        Set.of(),
                        Set.of(Equipment.BALL, Equipment.DISC),
                        new Week(week),
                        Shoes.SOFT,
                        List.of()),
                Approach.DEFAULT,
                List.of(faults).stream()
                        .map(f -> new PlanRequest.Focus(f, Grade.LIKELY))
                        .toList(),
                Set.of(),
                FROM,
                FROM.plusDays(14));
    }

    @Test
    void eachOfferIsTheRequestChangedInOneThingAndPlannedAnew() {
        PlanRequest request = request(WEEK, Fault.SWAY, Fault.LEAD_FOOT_SPIN);
        List<Offer> offers = Offers.of(request, PLANNER);
        assertThat(offers)
                .extracting(Offer::code)
                .contains("lesson-check", "range-day", "more-minutes", "later-lesson")
                .doesNotHaveDuplicates();
        double now = PLANNER.expected(request, PLANNER.plan(request)).gates();
        assertThat(offers)
                .allMatch(o -> o.expected().gates() > now || o.plan().totals().reps() > 0);
        for (Offer offer : offers) {
            assertThat(offer.plan()).isEqualTo(PLANNER.plan(offer.request()));
            assertThat(offer.expected()).isEqualTo(PLANNER.expected(offer.request(), offer.plan()));
        }
        Offer minutes = by("more-minutes", offers);
        assertThat(minutes.text()).isEqualTo("Ten more minutes on Tuesday and Thursday");
        assertThat(minutes.request()
                        .student()
                        .week()
                        .slots()
                        .get(DayOfWeek.TUESDAY)
                        .minutes())
                .isEqualTo(22);
        assertThat(minutes.plan().totals().reps())
                .isGreaterThan(PLANNER.plan(request).totals().reps());
        assertThat(by("more-days", offers).text()).isEqualTo("One more day: Monday, 12 minutes at home");
        assertThat(by("later-lesson", offers).request().nextLesson()).isEqualTo(FROM.plusDays(21));
        assertThat(by("range-day", offers).text()).endsWith("40 minutes");
        assertThat(by("lesson-check", offers).request().settings().lessonCheck())
                .isTrue();
    }

    private static Offer by(String code, List<Offer> offers) {
        return offers.stream().filter(o -> o.code().equals(code)).findFirst().orElseThrow();
    }

    /** With one range day in a fortnight the gate of the short ball needs what can be done without a range. */
    @Test
    void whatWouldChangeASmallChanceIsOfferedWithTheChanceItWouldGive() {
        PlanRequest request = request(
                Map.of(
                        DayOfWeek.TUESDAY,
                        new Slot(20, Place.HOME),
                        DayOfWeek.THURSDAY,
                        new Slot(20, Place.HOME),
                        DayOfWeek.FRIDAY,
                        new Slot(20, Place.HOME),
                        DayOfWeek.SUNDAY,
                        new Slot(20, Place.HOME)),
                Fault.SWAY);
        Edits.StepId shortBall = new Edits.StepId(Fault.SWAY, Rung.SHORT);
        double now = PLANNER.expected(request, PLANNER.plan(request)).chances().get(shortBall);
        assertThat(now).as("no real ball, no gate").isZero();
        for (String code : List.of("lesson-check", "range-day")) {
            assertThat(by(code, Offers.of(request, PLANNER))
                            .expected()
                            .chances()
                            .get(shortBall))
                    .as(code)
                    .isGreaterThan(0.01);
        }
    }

    @Test
    void whatCannotBeOfferedIsLeftOut() {
        assertThat(Offers.of(request(Map.of(), Fault.SWAY), PLANNER))
                .extracting(Offer::code)
                .doesNotContain("more-minutes", "more-days", "one-fault");
    }
}
