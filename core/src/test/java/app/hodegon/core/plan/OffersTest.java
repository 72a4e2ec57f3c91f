package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
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
                .containsExactly("more-minutes", "more-days", "later-lesson", "fewer-rungs", "one-fault");
        for (Offer offer : offers) {
            assertThat(offer.plan()).isEqualTo(PLANNER.plan(offer.request()));
            assertThat(offer.gates()).isEqualTo(PLANNER.expectedGates(offer.request(), offer.plan()));
        }
        Offer minutes = offers.get(0);
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
        assertThat(offers.get(1).text()).isEqualTo("One more day: Monday, 12 minutes at home");
        assertThat(offers.get(2).request().nextLesson()).isEqualTo(FROM.plusDays(21));
        assertThat(offers.get(3).plan().route())
                .hasSize(PLANNER.plan(request).route().size() - 1);
        assertThat(offers.get(4).text()).isEqualTo("Only the first fault now; right foot spins out later");
        assertThat(offers.get(4).request().focus()).hasSize(1);
    }

    @Test
    void whatCannotBeOfferedIsLeftOut() {
        assertThat(Offers.of(request(Map.of(), Fault.SWAY), PLANNER))
                .extracting(Offer::code)
                .doesNotContain("more-minutes", "more-days", "one-fault");
    }
}
