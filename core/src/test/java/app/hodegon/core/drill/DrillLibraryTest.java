package app.hodegon.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill.Effect;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.UnknownIdException;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
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

    @ParameterizedTest
    @MethodSource("drills")
    void noDrillMakesWorseWhatItWorksOn(Drill drill) {
        assertThat(drill.clashes()).noneMatch(drill.effects()::containsKey);
        assertThat(drill.neverWith()).noneMatch(drill.careWith()::contains);
    }

    @ParameterizedTest
    @MethodSource("drills")
    void ballsAreNeverHitAtHome(Drill drill) {
        for (Rung rung : Rung.values()) {
            if (drill.covers(rung)) {
                assertThat(drill.variation(rung)).isNotBlank();
                if (rung.withBall())
                    assertThat(drill.possibleAt(Place.HOME, rung)).isFalse();
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
    void aBrokenFileSaysWhatIsWrong() {
        String drill = """
                {"id":"x","name":"X","rungs":["%s"],"main":["sway"],"places":["home"],"feedback":["feel"],"pace":"BODY",
                 "after":[%s],"variations":[%s],"diagram":{}}""";
        assertThatThrownBy(() -> read(drill.formatted("feel", "", "\"a\",\"b\"")))
                .hasMessageContaining("variation");
        assertThatThrownBy(() -> read(drill.formatted("loft", "", "\"a\""))).hasMessageContaining("loft");
        assertThatThrownBy(() -> read(drill.formatted("feel", "\"y\"", "\"a\"")))
                .hasMessageContaining("y");
        assertThatThrownBy(
                        () -> read(drill.formatted("feel", "", "\"a\"") + "," + drill.formatted("feel", "", "\"a\"")))
                .hasMessageContaining("Twice");
        assertThat(read(drill.formatted("feel", "", "\"a\"")).all()).hasSize(1);
    }

    private static DrillLibrary read(String drills) {
        return DrillLibrary.read(new ByteArrayInputStream(("[" + drills + "]").getBytes(StandardCharsets.UTF_8)));
    }
}
