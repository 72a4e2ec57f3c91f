package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.Week.Slot;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToIntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of a plan holds. */
class WarningsTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();
    private static final Planner PLANNER = new Planner(LIBRARY);
    private static final LocalDate FROM = LocalDate.of(2026, 12, 1);

    private static PlanRequest request(int minutes, int daysAWeek, int days, Place place) {
        Map<DayOfWeek, Slot> slots = new EnumMap<>(DayOfWeek.class);
        for (int i = 0; i < daysAWeek; i++) slots.put(DayOfWeek.of(1 + i * 7 / daysAWeek), new Slot(minutes, place));
        return new PlanRequest(
                new Student(
                        Handedness.RIGHT,
                        Level.IMPROVER,
                        AgeBand.ADULT,
                        Set.of(),
                        Set.of(Equipment.BALL, Equipment.ROD, Equipment.DISC),
                        new Week(slots),
                        Shoes.SOFT,
                        List.of()),
                Approach.DEFAULT,
                List.of(new PlanRequest.Focus(Fault.SWAY, Grade.LIKELY)),
                Set.of(),
                FROM,
                FROM.plusDays(days));
    }

    private static Optional<String> said(PlanRequest request, String code) {
        return PLANNER.plan(request).warnings().stream()
                .filter(w -> w.code().equals(code))
                .map(Plan.Warning::text)
                .findFirst();
    }

    private static int number(Pattern pattern, String text) {
        Matcher found = pattern.matcher(text);
        return found.find() ? Integer.parseInt(found.group(1)) : 0;
    }

    @ParameterizedTest
    @CsvSource({
        "8,3,14,HOME",
        "10,4,14,RANGE",
        "12,7,7,HOME",
        "20,5,10,RANGE",
        "60,2,14,HOME",
        "40,1,21,RANGE",
        "5,7,28,HOME"
    })
    void whatWouldCloseAGapClosesIt(int minutes, int daysAWeek, int days, Place place) {
        PlanRequest request = request(minutes, daysAWeek, days, place);
        String text = said(request, "volume-short").orElseThrow();
        Plan.Totals now = PLANNER.plan(request).totals();
        assertThat(text)
                .startsWith("From Tuesday 1 December on, %d of the %d reps".formatted(now.reps(), now.wantedReps()))
                .contains(": " + (now.wantedReps() - now.reps()) + " short.");
        ToIntFunction<PlanRequest> missing = r -> {
            Plan.Totals then = PLANNER.plan(r).totals();
            return then.wantedReps() - then.reps();
        };
        int closing = number(Pattern.compile("About (\\d+) more minutes"), text);
        if (closing > 0) {
            assertThat(missing.applyAsInt(request(minutes + closing, daysAWeek, days, place)))
                    .isLessThanOrEqualTo(0);
            return;
        }
        int weeks = text.contains("a week later") ? 1 : number(Pattern.compile("(\\d+) weeks later"), text);
        if (weeks > 0) {
            assertThat(missing.applyAsInt(request(minutes, daysAWeek, days + 7 * weeks, place)))
                    .isLessThanOrEqualTo(0);
        } else assertThat(text).endsWith("Aim lower, or give it more than one plan.");
        if (text.contains("hardly help")) {
            int before = missing.applyAsInt(request);
            assertThat(before - missing.applyAsInt(request(minutes + 60, daysAWeek, days, place)))
                    .isLessThan(before / 5);
        }
    }

    @Test
    void timeThatADayLeavesFreeIsExplainedWithWhatItCouldHold() {
        PlanRequest alone = request(60, 3, 10, Place.HOME);
        assertThat(said(alone, "minutes-unused")).as("nothing useful is left").isEmpty();
        PlanRequest other = new PlanRequest(
                alone.student(),
                alone.approach(),
                alone.focus(),
                Set.of(Fault.HANGING_BACK),
                alone.from(),
                alone.nextLesson());
        String text = said(other, "minutes-unused").orElseThrow();
        Plan.Day first = PLANNER.plan(other).days().get(0);
        assertThat(text)
                .contains(Math.round(first.seconds() / 60f) + " of the 60 minutes are used")
                .endsWith("The rest could hold work on hanging back: take it on as well.");
        assertThat(number(Pattern.compile(": (\\d+) reps"), text)).isLessThanOrEqualTo(70);

        PlanRequest both =
                other.with(List.of(other.focus().get(0), new PlanRequest.Focus(Fault.HANGING_BACK, Grade.LIKELY)));
        assertThat(PLANNER.plan(both).days().get(0).seconds()).isGreaterThan(first.seconds());
        assertThat(said(both, "minutes-unused")).isEmpty();
    }

    @Test
    void timeLeftFreeByTheCoachsOwnRepsIsSaidToBeTheirs() {
        PlanRequest few = request(30, 3, 10, Place.HOME);
        PlanRequest own = few.with(few.settings().with(new OwnSets(Optional.empty(), Optional.of(20))));
        assertThat(said(own, "minutes-unused").orElseThrow())
                .contains("the fill that you set for a day")
                .endsWith("More reps a day would use the rest.");
    }

    @Test
    void noBallIsSaidOfTheDaysThatAreLaid() {
        assertThat(said(request(20, 3, 10, Place.HOME), "no-ball-day").orElseThrow())
                .startsWith("From Tuesday 1 December to the next lesson");
        assertThat(said(request(20, 3, 10, Place.RANGE), "no-ball-day")).isEmpty();
        Week playing = new Week(
                Map.of(DayOfWeek.MONDAY, new Slot(20, Place.HOME), DayOfWeek.SATURDAY, new Slot(90, Place.COURSE)));
        assertThat(said(request(20, 3, 10, Place.HOME).with(playing), "no-ball-day")
                        .orElseThrow())
                .contains("but a few in a round, which do not count");
    }
}
