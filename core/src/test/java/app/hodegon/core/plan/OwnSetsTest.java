package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.PlanRequest.Settings;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Turns in fives, a hundred a day: a coach's own sets are kept, with a block of one thing and with short sets together. */
class OwnSetsTest {

    private static final Planner PLANNER = new Planner(DrillLibrary.standard());

    private static PlanRequest request(AgeBand age, int minutes, Settings settings) {
        Student student = Requests.student(Level.IMPROVER, age, Set.of(), Requests.everyDay(minutes, Place.HOME));
        return Requests.of(student, Approach.DEFAULT, 14, Fault.SWAY).with(settings);
    }

    private static Settings sets(Integer size, Integer repsADay) {
        return Settings.USUAL.with(new OwnSets(Optional.ofNullable(size), Optional.ofNullable(repsADay)));
    }

    private static List<Block> mains(PlanRequest request) {
        return PLANNER.plan(request).days().stream()
                .filter(day -> day.place() == Place.HOME)
                .flatMap(day -> day.blocks().stream())
                .filter(b -> b.kind() == Kind.MAIN && !b.rung().withBall())
                .toList();
    }

    @Test
    void aSetHasTheSizeTheCoachGivesIt() {
        for (int size : new int[] {5, 8, 12, 15}) {
            assertThat(mains(request(AgeBand.ADULT, 20, sets(size, null))))
                    .isNotEmpty()
                    .allMatch(b -> b.repsPerSet() == size);
        }
    }

    @Test
    void aDayHasTheRepsTheCoachGivesIt() {
        assertThat(mains(request(AgeBand.ADULT, 40, sets(5, 100)))).anyMatch(b -> b.sets() == 20 && b.reps() == 100);
        assertThat(mains(request(AgeBand.ADULT, 40, sets(null, 20)))).allMatch(b -> b.reps() <= 20);
    }

    @Test
    void ageAndMinutesKeepTheirWord() {
        Plan junior = PLANNER.plan(request(AgeBand.JUNIOR, 40, sets(5, 100)));
        assertThat(junior.days())
                .flatExtracting(Plan.Day::blocks)
                .filteredOn(b -> b.kind() == Kind.MAIN && !b.rung().withBall())
                .allMatch(b -> b.reps() <= 60);
        assertThat(junior.warnings())
                .filteredOn(w -> w.code().equals("own-reps-eased"))
                .extracting(Plan.Warning::text)
                .containsExactly("100 reps a day are 60 for a student of this age (junior).");
        assertThat(PLANNER.plan(request(AgeBand.ADULT, 10, sets(5, 200))).days())
                .isNotEmpty()
                .allMatch(day -> day.seconds() <= 600);
    }

    @Test
    void withABlockOfOneThingTheyAreItsSets() {
        List<Block> mains = mains(request(AgeBand.ADULT, 40, sets(5, 100).ofOneThing()));
        assertThat(mains.subList(0, 3)).allMatch(b -> b.repsPerSet() == 5 && b.reps() == 100);
    }

    @Test
    void aRungInShortSetsStaysInFives() {
        StepId rehearse = new StepId(Fault.SWAY, Rung.REHEARSE);
        List<Block> mains =
                mains(request(AgeBand.ADULT, 20, sets(12, null)).with(Edits.NONE.inShortSets(Set.of(rehearse))));
        assertThat(mains)
                .filteredOn(b -> b.rung() == Rung.REHEARSE)
                .isNotEmpty()
                .allMatch(b -> b.repsPerSet() == 5);
        assertThat(mains).filteredOn(b -> b.rung() == Rung.FEEL).isNotEmpty().allMatch(b -> b.repsPerSet() == 12);
    }

    @Test
    void whatNobodyCanDoWellIsRefused() {
        assertThatThrownBy(() -> sets(40, null)).hasMessage("A set has 5 to 15 reps, not 40.");
        assertThatThrownBy(() -> sets(null, 600)).hasMessage("A day has 10 to 200 main reps, not 600.");
    }
}
