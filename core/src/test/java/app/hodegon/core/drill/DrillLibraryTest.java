package app.hodegon.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill.Effect;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.UnknownIdException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class DrillLibraryTest {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();

    static Stream<Drill> drills() {
        return LIBRARY.all().stream();
    }

    @ParameterizedTest
    @MethodSource("drills")
    void everyDrillSaysEverythingForEitherHand(Drill drill) {
        Drill.Texts t = drill.texts();
        List<String> texts =
                List.of(t.setUp(), t.action(), t.feel(), t.good(), t.mistake(), t.easier(), t.harder(), t.cue());
        assertThat(texts).allSatisfy(text -> assertThat(text).isNotBlank());
        assertThat(t.cue().length()).as("one thought").isLessThan(40);
        Stream.concat(texts.stream(), Stream.concat(drill.variations().stream(), Stream.of(t.caution())))
                .forEach(text -> {
                    assertThat(text).doesNotContainPattern("\\b([Ll]eft|[Rr]ight|clockwise)\\b(?! angle)");
                    assertThat(Handedness.LEFT.say(text)).doesNotContain("{").doesNotContain("}");
                });
        assertThat(drill.effects()).isNotEmpty();
        assertThat(drill.places()).isNotEmpty();
        assertThat(drill.feedback()).isNotEmpty();
        assertThat(drill.diagram().press()).isNotEmpty();
    }

    /** An easier form whose every word stands in one of the drill's own forms is that form again. */
    @ParameterizedTest
    @MethodSource("drills")
    void theEasierFormIsNoneOfItsOwn(Drill drill) {
        Set<String> easier = words(drill.texts().easier());
        assertThat(drill.variations()).noneMatch(own -> words(own).containsAll(easier));
    }

    private static Set<String> words(String text) {
        return Stream.of(text.toLowerCase(Locale.ROOT)
                        .replaceAll("[^a-z{} -]", " ")
                        .strip()
                        .split("\\s+"))
                .filter(word ->
                        !Set.of("a", "the", "with", "do", "it", "of", "to").contains(word))
                .collect(Collectors.toSet());
    }

    @ParameterizedTest
    @MethodSource("drills")
    void noDrillMakesWorseWhatItWorksOn(Drill drill) {
        assertThat(drill.clashes()).noneMatch(drill.effects()::containsKey);
        assertThat(drill.neverWith()).noneMatch(drill.careWith()::contains);
    }

    @ParameterizedTest
    @MethodSource("drills")
    void everyRungHasItsVariationAndHalfSteps(Drill drill) {
        for (Rung rung : Rung.values()) {
            if (drill.covers(rung)) {
                assertThat(drill.variation(rung)).isNotBlank();
                assertThat(LIBRARY.halfSteps(drill, rung))
                        .hasSizeGreaterThan(1)
                        .extracting(HalfStep::id)
                        .doesNotHaveDuplicates();
                assertThat(drill.speed(rung)).isBetween(20, 100);
                assertThat(drill.secondsPerRep(rung)).isBetween(4, 10);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Fault.class)
    void everyFaultHasADrillWithoutKitOrApproach(Fault fault) {
        assertThat(LIBRARY.all())
                .anyMatch(d -> d.effects().containsKey(fault)
                        && d.suits(Approach.DEFAULT)
                        && d.kit().stream().allMatch(k -> k.substitute().isPresent() || k == Equipment.BALL));
    }

    @Test
    void propsWhoseEasierFormComesFirst() {
        assertThat(LIBRARY.drill("inner-prop").after()).containsExactly("outer-prop");
        assertThat(LIBRARY.drill("plain-swing").servesEveryFault()).isTrue();
        assertThat(LIBRARY.drill("disc-turn").servesEveryFault()).isFalse();
        assertThat(LIBRARY.drill("disc-turn").effects())
                .isEqualTo(Map.of(Fault.SWAY, Effect.MAIN, Fault.FROZEN_FEET, Effect.HELPS));
    }

    @Test
    void plantedTwistingAndBadJointsDoNotGoTogether() {
        for (String drill : List.of("drop-foot-twist", "grip-turns")) {
            assertThat(LIBRARY.drill(drill).neverWith()).contains(Joint.KNEE, Joint.HIP, Joint.ANKLE);
        }
        assertThat(LIBRARY.drill("disc-turn").neverWith())
                .as("the foot turns with the disc")
                .isEmpty();
    }

    @Test
    void anUnknownDrillIsRefusedByName() {
        assertThatThrownBy(() -> LIBRARY.drill("hop"))
                .isInstanceOf(UnknownIdException.class)
                .hasMessageContaining("hop")
                .hasMessageContaining("disc-turn");
    }

    @Test
    void holdsEveryDrillOfTheField() {
        assertThat(LIBRARY.all()).hasSize(47);
    }

    @Test
    void aFileRoundTrips() {
        String written = DrillFile.write(LIBRARY.all());
        List<Drill> read = DrillFile.read(written, Set.of());
        assertThat(read).containsExactlyElementsOf(LIBRARY.all());
        assertThat(DrillFile.write(read)).isEqualTo(written);
    }

    @Test
    void aBrokenFileSaysEverythingThatIsWrongAndWhere() {
        String good = """
                {"id":"x","name":"X","rungs":["feel"],"main":["sway"],"places":["home"],"feedback":["feel"],"pace":"BODY",
                 "setUp":"a","do":"b","feel":"c","good":"d","mistake":"e","easier":"f","harder":"g","cue":"h",
                 "variations":["i"]}""";
        assertThat(DrillFile.read("[" + good + "]", Set.of())).hasSize(1);
        assertThat(problems(good.replace("\"i\"", "\"i\",\"j\"")))
                .containsExactly("[0].variations needs one per rung: 1, not 2.");
        assertThat(problems(good.replace("[\"feel\"],\"main\"", "[\"loft\"],\"main\"")))
                .anyMatch(p -> p.startsWith("[0].rungs") && p.contains("loft"));
        assertThat(problems(good.replace("BODY", "FAST")))
                .singleElement()
                .asString()
                .contains("STEP");
        assertThat(problems(good.replace("\"name\":\"X\"", "\"name\":7"))).containsExactly("[0].name must be a text.");
        assertThat(problems(good.replace("\"x\"", "\"X y\"")))
                .singleElement()
                .asString()
                .contains("hyphens");
        assertThat(problems(good.replace("\"pace\"", "\"after\":[\"y\"],\"pace\"")))
                .containsExactly("[0].after names no known drill: y.");
        assertThat(problems(good.replace("\"pace\"", "\"clashes\":[\"sway\"],\"pace\"")))
                .singleElement()
                .asString()
                .contains("makes worse");
        assertThat(
                        problems(
                                good.replace(
                                        "\"pace\"",
                                        "\"diagram\":{\"press\":[\"knee\"],\"move\":\"hop\",\"props\":{\"lead-toe\":\"anvil\"}},\"pace\"")))
                .hasSize(3)
                .allMatch(p -> p.startsWith("[0].diagram."));
        assertThat(problems(good + "," + good)).containsExactly("[1].id is there twice: x.");
        assertThat(problems("7")).containsExactly("[0] must be a drill.");
        assertThat(problems("{}")).hasSizeGreaterThan(10);
        assertThat(broken("{")).containsExactly("file is no JSON.");
        assertThat(broken("{}")).containsExactly("file must be a list of drills.");
    }

    @Test
    void whatCanBeToldFromOutsideIsAskedFor() {
        for (Drill drill : LIBRARY.all()) {
            boolean onlyFelt = drill.feedback().equals(List.of(Feedback.FEEL));
            assertThat(onlyFelt || drill.notice().isPresent()).as(drill.id()).isTrue();
        }
        Notice edge = LIBRARY.drill("edge-notice").notice().orElseThrow();
        assertThat(edge.isRight("inner")).isTrue();
        assertThat(List.of("outer", "", "sideways")).noneMatch(edge::isRight);
        Notice fence = LIBRARY.drill("foot-fence").notice().orElseThrow();
        assertThat(List.of("0", "2")).allMatch(fence::isRight);
        assertThat(List.of("3", "61", "-1", "x")).noneMatch(fence::isRight);
        assertThat(fence.accepts("61")).isFalse();
    }

    @Test
    void aDrillAsksItsOwnQuestion() {
        String drill = """
                [{"id":"x","name":"X","rungs":["feel"],"main":["sway"],"places":["home"],"feedback":["touch"],"pace":"BODY",
                 "setUp":"a","do":"b","feel":"c","good":"d","mistake":"e","easier":"f","harder":"g","cue":"h",
                 "variations":["i"],"notice":NOTICE}]""";
        Notice own = DrillFile.read(drill.replace("NOTICE", """
                        {"kind":"touch","question":"Felt?","answers":[{"id":"y","label":"Yes"},{"id":"n","label":"No"}],
                         "right":["y"]}"""), Set.of())
                .get(0)
                .notice()
                .orElseThrow();
        assertThat(own.question()).isEqualTo("Felt?");
        assertThat(own.isRight("y")).isTrue();
        assertThat(DrillFile.read(drill.replace("NOTICE", "\"held\""), Set.of())
                        .get(0)
                        .notice())
                .contains(Notice.Kind.HELD.usual());
        for (String wrong : List.of(
                "\"smell\"",
                "7",
                "{\"kind\":\"edge\",\"right\":[\"upper\"]}",
                "{\"kind\":\"edge\",\"right\":[]}",
                "{\"kind\":\"edge\",\"question\":\"\"}",
                "{\"kind\":\"edge\",\"answers\":[{\"id\":\"a\",\"label\":\"A\"}]}",
                "{\"kind\":\"held\",\"from\":70}",
                "{\"kind\":\"held\",\"from\":\"x\"}")) {
            assertThat(broken(drill.replace("NOTICE", wrong)))
                    .as(wrong)
                    .singleElement()
                    .asString()
                    .startsWith("[0].notice");
        }
    }

    private static List<String> problems(String drills) {
        return broken("[" + drills + "]");
    }

    private static List<String> broken(String file) {
        try {
            DrillFile.read(file, Set.of());
            return List.of();
        } catch (DrillFile.Broken broken) {
            return broken.problems().stream()
                    .map(p -> p.path() + " " + p.message())
                    .toList();
        }
    }

    @Test
    void theSchemaNamesWhatTheReaderTakes() {
        String schema = DrillSchema.json();
        for (Drill drill : LIBRARY.all()) {
            assertThat(drill.id()).matches("[a-z][a-z0-9]*(-[a-z0-9]+)*");
            assertThat(schema).contains("\"" + drill.lowest().id() + "\"");
        }
        assertThat(schema).contains("rocker-boards", "lift-trail-heel", "SLOW_CLUB", "early-return");
    }
}
