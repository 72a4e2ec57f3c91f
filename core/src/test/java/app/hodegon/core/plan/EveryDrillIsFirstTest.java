package app.hodegon.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.approach.Choice;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Showing;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * For each drill of the library there is a student and a coach for whom it comes first by itself: one fault, at most one
 * answer of the coach against the usual one, at most one sign of this fault, what the drill itself needs and
 * comes after, and nothing else.
 */
class EveryDrillIsFirstTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();

    static Stream<Drill> drills() {
        return LIBRARY.all().stream();
    }

    @ParameterizedTest
    @MethodSource("drills")
    void somewhere(Drill drill) {
        assertThat(found(drill)).as(drill.id()).isPresent();
    }

    /**
     * Drafts of every fault, of the usual approach and with one answer otherwise, with the usual bag, a rod and all there is, for
     * four kinds of week, before anything was seen or done: every drill comes somewhere, on the route, as what stands in,
     * among the first balls or as a move of a set.
     */
    @Test
    void inASweepOfDrafts() {
        Set<String> never = LIBRARY.all().stream().map(Drill::id).collect(Collectors.toCollection(TreeSet::new));
        List<Approach> approaches = Stream.concat(
                        Stream.of(PressureSchool.values()).map(school -> new Approach(school, Map.of())),
                        Stream.of(Choice.values())
                                .map(c -> new Approach(Approach.DEFAULT.school(), Map.of(c.question(), c))))
                .toList();
        List<Week> weeks = List.of(
                Requests.USUAL_WEEK,
                Requests.everyDay(30, Place.HOME),
                Requests.everyDay(30, Place.RANGE),
                Requests.everyDay(30, Place.NET));
        List<Set<Equipment>> kits = List.of(Set.of(), Set.of(Equipment.ROD), EnumSet.allOf(Equipment.class));
        int drafts = 0;
        for (Fault fault : Fault.values()) {
            for (Approach approach : approaches) {
                for (Set<Equipment> kit : kits) {
                    for (Week week : weeks) {
                        PlanRequest request = Requests.of(Requests.improver(week, Set.of(), kit), approach, 28, fault);
                        never.removeAll(laid(request));
                        drafts++;
                    }
                }
            }
        }
        assertThat(drafts).isGreaterThan(700);
        // It takes two answers of a coach.
        assertThat(never).containsExactly("across-in-three");
    }

    private static Set<String> laid(PlanRequest request) {
        Set<String> laid = new TreeSet<>();
        for (Route route : new RouteFinder(request, LIBRARY, new DrillChoice(request, LIBRARY)).routes()) {
            Stream.of(
                            route.steps().stream(),
                            route.firstBalls().values().stream(),
                            route.standIns().values().stream().flatMap(m -> m.values().stream()))
                    .flatMap(steps -> steps)
                    .map(Plan.Step::drill)
                    .forEach(drill -> {
                        laid.add(drill);
                        laid.addAll(LIBRARY.drill(drill).ways().moves());
                    });
        }
        return laid;
    }

    private static Optional<PlanRequest> found(Drill drill) {
        return Stream.<Supplier<Set<Equipment>>>of(Set::of, drill::kit)
                .flatMap(kit -> drill.effects().keySet().stream()
                        .sorted()
                        .flatMap(fault -> approaches(drill)
                                .flatMap(approach -> seen(fault)
                                        .flatMap(signs -> Stream.of(14, 28)
                                                .map(days ->
                                                        request(drill, kit.get(), fault, approach, signs, days))))))
                .filter(request -> isFirst(drill, request))
                .findFirst();
    }

    /** As usual, and with one answer otherwise; a drill of a school or of an answer needs it in any case. */
    private static Stream<Approach> approaches(Drill drill) {
        Map<Choice.Question, Choice> needed =
                drill.needs().stream().collect(Collectors.toMap(Choice::question, need -> need));
        PressureSchool school = drill.schools().stream().sorted().findFirst().orElse(Approach.DEFAULT.school());
        Stream<Approach> otherwise = Stream.of(Choice.values()).map(choice -> {
            Map<Choice.Question, Choice> answers = new EnumMap<>(Choice.Question.class);
            answers.put(choice.question(), choice);
            answers.putAll(needed);
            return new Approach(school, answers);
        });
        return Stream.concat(Stream.of(new Approach(school, needed)), otherwise);
    }

    /** Nothing, or one sign that this fault shows. */
    private static Stream<Set<Sign>> seen(Fault fault) {
        return Stream.concat(
                Stream.of(Set.of()),
                Stream.of(Sign.values())
                        .filter(sign -> Catalogue.standard()
                                .shownBy(new Showing.OfSign(sign))
                                .containsKey(fault))
                        .map(Set::of));
    }

    private static PlanRequest request(
            Drill drill, Set<Equipment> kit, Fault fault, Approach approach, Set<Sign> signs, int days) {
        List<Student.Done> before = drill.after().stream()
                .map(LIBRARY::drill)
                .map(d -> new Student.Done(d.id(), Rung.FEEL, true))
                .toList();
        Student student = Requests.improver(Requests.USUAL_WEEK, Set.of(), kit).after(before);
        return Requests.of(student, approach, days, fault).seeing(signs);
    }

    private static boolean isFirst(Drill drill, PlanRequest request) {
        return new RouteFinder(request, LIBRARY, new DrillChoice(request, LIBRARY))
                .routes().stream()
                        .flatMap(route -> route.steps().stream())
                        .anyMatch(step -> step.drill().equals(drill.id()));
    }
}
