package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Step;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a coach uses first is used by itself, with its reason, unless a rule forbids it, which is said. */
class FirstChoicesTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();
    private static final Planner PLANNER = new Planner(LIBRARY);
    private static final StepId FEEL = new StepId(Fault.SWAY, Rung.FEEL);

    private static PlanRequest request(Set<Joint> flags, Set<Equipment> kit, Fault fault, FirstChoices first) {
        return Requests.of(Requests.improver(Requests.USUAL_WEEK, flags, kit), Approach.DEFAULT, 14, fault)
                .with(PlanRequest.Settings.USUAL.with(first));
    }

    private static Step sway(Set<Joint> flags, String... order) {
        return step(
                PLANNER.plan(request(
                        flags,
                        Set.of(Equipment.BALL, Equipment.ROD, Equipment.DISC),
                        Fault.SWAY,
                        new FirstChoices(Map.of(FEEL, List.of(order))))),
                Rung.FEEL);
    }

    private static Step step(Plan plan, Rung rung) {
        return plan.route().stream().filter(s -> s.rung() == rung).findFirst().orElseThrow();
    }

    @Test
    void theFirstChoiceIsUsedByItself() {
        assertThat(sway(Set.of(), "rod-underfoot").drill()).isEqualTo("rod-underfoot");
        assertThat(sway(Set.of(), "rod-underfoot").why()).startsWith("your first choice here");
        assertThat(sway(Set.of(), "step-away-swing", "rod-underfoot").drill()).isEqualTo("step-away-swing");
    }

    @Test
    void whatARuleForbidsGivesWayToTheNextAndIsSaid() {
        Step step = sway(Set.of(Joint.KNEE), "grip-turns", "outer-prop");
        assertThat(step.drill()).isEqualTo("outer-prop");
        assertThat(step.why())
                .startsWith("next of your own choices here")
                .contains("in place of grip turns (your choice, but not with a flagged knee)");
    }

    @Test
    void whatComesAfterAnotherWaitsForItAndSaysSo() {
        Step step = sway(Set.of(), "inner-prop");
        assertThat(step.drill()).isNotEqualTo("inner-prop");
        assertThat(step.why()).contains("prop under the inner edge, your choice, comes once prop under the outer edge");
        assertThat(sway(Set.of(), "disc-turn", "inner-prop").why())
                .as("the first choice waits for nothing")
                .doesNotContain("comes once");
        assertThat(sway(Set.of(), "no-such-drill").drill()).isNotEqualTo("no-such-drill");
    }

    /** Wherever a drill may be used at all, its being the first choice puts it there. */
    @ParameterizedTest
    @EnumSource
    void everyDrillCanBeACoachsFirst(Fault fault) {
        Set<Equipment> all = EnumSet.allOf(Equipment.class);
        for (Rung rung : EnumSet.of(Rung.FEEL, Rung.SHORT)) {
            StepId id = new StepId(fault, rung);
            PlanRequest usual = request(Set.of(), all, fault, FirstChoices.NONE);
            if (PLANNER.plan(usual).route().stream().noneMatch(s -> s.rung() == rung)) continue;
            DrillChoice choice = new DrillChoice(usual, LIBRARY);
            for (Drill drill : LIBRARY.all()) {
                if (!FirstChoices.fits(drill, id)
                        || !choice.allows(drill)
                        || !choice.possibleSomewhere(drill, rung)
                        || !drill.after().isEmpty()) continue;
                FirstChoices first = new FirstChoices(Map.of(id, List.of(drill.id())));
                assertThat(step(PLANNER.plan(request(Set.of(), all, fault, first)), rung)
                                .drill())
                        .as("%s on %s", fault, rung)
                        .isEqualTo(drill.id());
            }
        }
    }

    @Test
    void anOrderIsShortAndNamesADrillOnce() {
        assertThatThrownBy(() -> new FirstChoices(Map.of(FEEL, List.of())))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new FirstChoices(Map.of(FEEL, List.of("disc-turn", "disc-turn"))))
                .hasMessageContaining("once");
        assertThatThrownBy(() -> new FirstChoices(Map.of(FEEL, List.of("a", "b", "c", "d", "e", "f"))))
                .hasMessageContaining("1 to 5");
    }
}
