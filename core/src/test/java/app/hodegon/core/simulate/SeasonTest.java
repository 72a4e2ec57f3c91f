package app.hodegon.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.Student;
import app.hodegon.core.practice.Forecast;
import app.hodegon.core.practice.Forecast.Outlook;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.swing.BallResult;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SeasonTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);
    private static final long SEED = SeasonSimulator.DEMO_SEED;

    static Stream<Persona> cast() {
        return Stream.concat(Cast.first().stream(), Cast.second().stream());
    }

    @ParameterizedTest
    @MethodSource("cast")
    void everySeasonIsCoherentAndEndsToday(Persona persona) {
        Season season = SeasonSimulator.live(persona, TODAY, SEED);
        assertThat(season.lessons()).hasSize(persona.lessons());
        Season.Lesson last = season.lessons().get(season.lessons().size() - 1);
        assertThat(last.on()).isEqualTo(TODAY.minusDays(persona.daysSinceLesson()));
        assertThat(season.lessons().get(0).focus())
                .as("the first lesson finds a true fault")
                .anyMatch(persona.faults()::containsKey);
        for (Season.Lesson lesson : season.lessons()) {
            assertThat(lesson.focus()).isNotEmpty();
            assertThat(lesson.practice())
                    .allSatisfy(p -> assertThat(p.day()).isAfter(lesson.on()).isBefore(lesson.nextLesson()));
            assertThat(lesson.practice().stream().map(PracticeSession::day)).doesNotHaveDuplicates();
        }
        assertThat(last.practice()).allMatch(p -> p.day().isBefore(TODAY));
        assertThat(SeasonSimulator.live(persona, TODAY, SEED)).isEqualTo(season);
    }

    @Test
    void theOneWhoPractisedSlicesLessAndTheOneWhoDidNotStaysTheSame() {
        Season bram = SeasonSimulator.live(named("Bram Ellery"), TODAY, SEED);
        List<Season.Lesson> lessons = bram.lessons();
        int first = lessons.get(0).before().shots().of(BallResult.SLICE);
        int last = lessons.get(lessons.size() - 1).before().shots().of(BallResult.SLICE);
        assertThat(last).isLessThan(first);
        Season wren = SeasonSimulator.live(named("Wren Castell"), TODAY, SEED);
        assertThat(wren.lessons().stream().mapToInt(l -> l.practice().size()).sum())
                .isLessThan(bram.lessons().stream()
                                .mapToInt(l -> l.practice().size())
                                .sum()
                        / 4);
    }

    @Test
    void painTurnsUpInTheRunningPlan() {
        List<Season.Lesson> lessons =
                SeasonSimulator.live(named("Ansel Roe"), TODAY, SEED).lessons();
        List<PracticeSession> practice = lessons.get(lessons.size() - 1).practice();
        PracticeSession sore =
                practice.stream().filter(p -> p.pain().isPresent()).findFirst().orElseThrow();
        String drill = sore.pain().orElseThrow().drill();
        assertThat(practice.subList(practice.indexOf(sore) + 1, practice.size()))
                .as("what hurt is left alone until the coach has looked")
                .allSatisfy(p -> assertThat(p.blocks()).noneMatch(b -> b.drill().equals(drill)));
    }

    @Test
    void chancesFallAlongTheRouteAndAreTheSameEachTime() {
        Persona bram = named("Bram Ellery");
        Season.Lesson lesson = SeasonSimulator.live(bram, TODAY, SEED).lessons().get(0);
        Map<Step, Outlook> outlooks = forecast(bram.profile(), lesson);
        assertThat(outlooks.values()).extracting(Outlook::chance).isSortedAccordingTo((a, b) -> Double.compare(b, a));
        assertThat(outlooks.entrySet().iterator().next().getKey().rung()).isEqualTo(Rung.FEEL);
        assertThat(outlooks.values().iterator().next().chance()).isGreaterThan(0.6);
        assertThat(forecast(bram.profile(), lesson)).isEqualTo(outlooks);
    }

    private static Map<Step, Outlook> forecast(Student who, Season.Lesson lesson) {
        return Forecast.of(lesson.plan(), who, DrillLibrary.standard(), Forecast.History.NONE, Optional.empty());
    }

    private static Persona named(String name) {
        return cast().filter(p -> p.name().equals(name)).findFirst().orElseThrow();
    }
}
