package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Planner.Alternative;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two drills at once: one block, one count. */
class PairsTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();
    private static final Planner PLANNER = new Planner(LIBRARY);
    private static final StepId FEEL = new StepId(Fault.SWAY, Rung.FEEL);

    private static PlanRequest joining(PlanRequest request, String own, String other) {
        return request.with(new Edits(List.of(), Set.of(), Map.of(FEEL, own), Set.of()).joining(Map.of(FEEL, other)));
    }

    private static List<Block> mains(Plan plan, Rung rung) {
        return plan.days().stream()
                .flatMap(d -> d.blocks().stream())
                .filter(b -> b.kind() == Kind.MAIN && b.rung() == rung)
                .toList();
    }

    @Test
    void whatTheCoachJoinsIsOneBlockWithTheSameCountAndTime() {
        PlanRequest request = Requests.of(Fault.SWAY);
        String own = PLANNER.plan(request).route().stream()
                .filter(s -> s.rung() == Rung.FEEL)
                .findFirst()
                .orElseThrow()
                .drill();
        Alternative partner = PLANNER.partners(request, own, Rung.FEEL).get(0);
        Plan alone = PLANNER.plan(request.with(new Edits(List.of(), Set.of(), Map.of(FEEL, own), Set.of())));
        Plan joined = PLANNER.plan(joining(request, own, partner.drill()));
        assertThat(mains(joined, Rung.FEEL))
                .isNotEmpty()
                .allMatch(b -> b.joined().equals(Optional.of(partner.drill())) && !b.harder());
        assertThat(joined.totals()).isEqualTo(alone.totals());
        assertThat(joined.kit().stream().map(Plan.Kit::item))
                .containsAll(LIBRARY.drill(own).kit())
                .containsAll(LIBRARY.drill(partner.drill()).kit());
        assertThat(joined.days().stream().flatMap(d -> d.blocks().stream()))
                .filteredOn(b -> b.kind() != Kind.MAIN)
                .allMatch(b -> b.joined().isEmpty());
        assertThat(PLANNER.refusedPair(joining(request, own, partner.drill()), joined, Set.of(FEEL)))
                .isEmpty();
    }

    /** Whatever is offered may be done, and asks for the other foot unless the library names the pair. */
    @Test
    void everyPartnerThatIsOfferedIsTaken() {
        int offered = 0;
        for (Fault fault : Fault.values()) {
            PlanRequest request = Requests.of(fault);
            for (Plan.Step step : PLANNER.plan(request).route()) {
                StepId id = new StepId(fault, step.rung());
                for (Alternative partner : PLANNER.partners(request, step.drill(), step.rung())) {
                    PlanRequest with = request.with(new Edits(List.of(), Set.of(), Map.of(id, step.drill()), Set.of())
                            .joining(Map.of(id, partner.drill())));
                    Drill own = LIBRARY.drill(step.drill());
                    Drill other = LIBRARY.drill(partner.drill());
                    if (partner.why().startsWith("asks")) {
                        assertThat(own.diagram().stance())
                                .isEqualTo(other.diagram().stance());
                        assertThat(own.diagram().move().ofItsOwn()
                                        && other.diagram().move().ofItsOwn())
                                .isFalse();
                    }
                    assertThat(PLANNER.refusedPair(with, PLANNER.plan(with), Set.of(id)))
                            .as(step.drill() + " with " + partner.drill())
                            .isEmpty();
                    offered++;
                }
            }
        }
        assertThat(offered).isGreaterThan(50);
    }

    @ParameterizedTest
    @CsvSource({
        "outer-prop, outer-prop, A drill is not joined with itself.",
        "outer-prop, rod-underfoot, Prop under the outer edge and rod under the foot both ask for the right foot.",
        "disc-turn, one-step-swing, Disc turn and one-step swing stand differently.",
        "disc-turn, lead-toe-squash, Disc turn and toe squash are two movements.",
        "outer-prop, across-in-three, A set of three moves is done by itself.",
        "outer-prop, plain-swing, 'Plain swing, one cue is no drill for the rung feel.'",
    })
    void whatCannotBeDoneAtOnceIsRefusedInWords(String own, String other, String why) {
        PlanRequest request = joining(Requests.of(Fault.SWAY), own, other);
        Plan plan = PLANNER.plan(request);
        assertThat(PLANNER.refusedPair(request, plan, Set.of(FEEL))).contains(why);
        assertThat(mains(plan, Rung.FEEL))
                .as("laid apart")
                .allMatch(b -> b.joined().isEmpty());
    }

    @Test
    void aNamedPairJoinsByItselfOnceBothPartsArePassedAndNotBefore() {
        int joined = 0;
        for (Drill drill : LIBRARY.all()) {
            for (String other : drill.ways().combines()) {
                for (Fault fault : drill.effects().keySet()) {
                    joined += joinsOncePassed(drill, LIBRARY.drill(other), fault);
                }
            }
        }
        assertThat(joined).isPositive();
    }

    private static int joinsOncePassed(Drill drill, Drill other, Fault fault) {
        Optional<Rung> shared = List.of(Rung.values()).stream()
                .filter(r -> r.gated() && drill.covers(r) && other.covers(r))
                .findFirst();
        if (shared.isEmpty()) return 0;
        StepId step = new StepId(fault, shared.get());
        Edits choosing = new Edits(List.of(), Set.of(), Map.of(step, drill.id()), Set.of());
        Student student = Requests.improver(Requests.everyDay(60, Place.RANGE), Set.of(), drill.kit());
        // Passed with something else, so that the rung itself is still to be climbed.
        Student known = student.after(List.of(
                new Student.Done(drill.id(), Rung.PREPARE, true), new Student.Done(other.id(), Rung.PREPARE, true)));
        List<Block> before, after;
        try {
            before = mains(
                    PLANNER.plan(
                            Requests.of(student, Approach.DEFAULT, 28, fault).with(choosing)),
                    step.rung());
            after = mains(
                    PLANNER.plan(Requests.of(known, Approach.DEFAULT, 28, fault).with(choosing)), step.rung());
        } catch (IllegalArgumentException notThisStudent) {
            return 0;
        }
        assertThat(before).allMatch(b -> b.joined().isEmpty());
        return (int) after.stream()
                .filter(b -> b.drill().equals(drill.id()) && b.joined().equals(Optional.of(other.id())))
                .count();
    }

    @Test
    void theCoachTakesANamedPairApart() {
        StepId step = new StepId(Fault.SWAY, Rung.FEEL);
        PlanRequest request = Requests.of(Fault.SWAY)
                .with(new Edits(List.of(), Set.of(), Map.of(), Set.of()).joining(Map.of(step, Pairs.APART)));
        Plan plan = PLANNER.plan(request);
        assertThat(mains(plan, Rung.FEEL)).allMatch(b -> b.joined().isEmpty());
        assertThat(PLANNER.refusedPair(request, plan, Set.of(FEEL))).isEmpty();
    }

    @Test
    void nobodyIsGivenASecondThingThatLoadsAFlaggedJoint() {
        for (Joint joint : Joint.values()) {
            PlanRequest request = Requests.of(
                    Requests.student(Level.IMPROVER, AgeBand.ADULT, Set.of(joint), Requests.USUAL_WEEK),
                    Approach.DEFAULT,
                    14,
                    Fault.SWAY);
            for (Plan.Step step : PLANNER.plan(request).route()) {
                assertThat(PLANNER.partners(request, step.drill(), step.rung()))
                        .noneMatch(p -> LIBRARY.drill(p.drill()).loads(joint));
            }
        }
    }

    /** Pain, and what a check left open, decide before any pair. */
    @Test
    void afterPainEachDrillIsAlone() {
        PlanRequest request = Requests.of(Fault.SWAY);
        String own = PLANNER.plan(request).route().stream()
                .filter(s -> s.rung() == Rung.FEEL)
                .findFirst()
                .orElseThrow()
                .drill();
        PlanRequest joined = joining(
                request, own, PLANNER.partners(request, own, Rung.FEEL).get(0).drill());
        PlanRequest hurt = joined.after(new PlanRequest.SoFar(
                Map.of(), Optional.of(new PlanRequest.Ease(Map.of(Fault.SWAY, Rung.FEEL), Requests.FROM.plusDays(7)))));
        Plan plan = PLANNER.plan(hurt);
        assertThat(mains(plan, Rung.FEEL)).isNotEmpty().allMatch(b -> b.joined().isEmpty());
        assertThat(PLANNER.refusedPair(hurt, plan, Set.of(FEEL)))
                .contains("After pain each drill is done by itself for a week.");
        assertThat(PLANNER.refusedPair(hurt, plan, Set.of()))
                .as("joined before it hurt: nothing that is asked now")
                .isEmpty();
    }
}
