package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Cases from teaching: what was seen, and which fault a coach would put first. */
class CasesTest {

    static Stream<Named<JsonNode>> cases() {
        JsonNode cases = new JsonMapper().readTree(CasesTest.class.getResourceAsStream("cases.json"));
        List<Named<JsonNode>> named = new ArrayList<>();
        cases.forEach(c -> named.add(Named.of(c.path("name").asString(), c)));
        return named.stream();
    }

    @ParameterizedTest
    @MethodSource("cases")
    void putsTheExpectedFaultFirst(JsonNode expected) {
        for (Handedness hand : Handedness.values()) {
            Diagnosis diagnosis = diagnose(expected, hand);
            if (expected.path("top").isNull()) {
                assertThat(diagnosis.likely()).isEmpty();
                assertThat(diagnosis.focus()).isEmpty();
            } else {
                List<String> accepted = new ArrayList<>(strings(expected.path("or")));
                accepted.add(expected.path("top").asString());
                assertThat(diagnosis.faults().get(0).fault().id()).isIn(accepted);
                assertThat(diagnosis.faults().get(0).grade()).isEqualTo(Grade.LIKELY);
                assertThat(diagnosis.focus().get(0).id()).isIn(accepted);
            }
            assertThat(diagnosis.likely())
                    .extracting(Fault::id)
                    .noneMatch(strings(expected.path("notLikely"))::contains);
        }
    }

    private static Diagnosis diagnose(JsonNode c, Handedness hand) {
        PressureSchool school =
                Identified.of(PressureSchool.class, c.path("school").asString("early-return"));
        return new Diagnostician(school, hand).diagnose(observations(c));
    }

    private static Observations observations(JsonNode c) {
        Map<Sign, Boolean> signs = new EnumMap<>(Sign.class);
        strings(c.path("yes")).forEach(s -> signs.put(Identified.of(Sign.class, s), true));
        strings(c.path("no")).forEach(s -> signs.put(Identified.of(Sign.class, s), false));
        List<Reading> readings = new ArrayList<>();
        c.path("readings")
                .forEach(r -> readings.add(new Reading(
                        Identified.of(Measure.class, r.get(0).asString()),
                        r.get(1).isNull()
                                ? Optional.empty()
                                : Optional.of(
                                        Identified.of(Checkpoint.class, r.get(1).asString())),
                        r.get(2).asDouble(),
                        Identified.of(Source.class, r.get(3).asString()),
                        r.get(4).asInt())));
        Map<BallResult, Integer> counts = new EnumMap<>(BallResult.class);
        for (BallResult.Kind kind : BallResult.Kind.values()) {
            c.path("balls")
                    .path(kind.id())
                    .properties()
                    .forEach(e -> counts.put(
                            BallResult.of(kind, e.getKey()), e.getValue().asInt()));
        }
        return new Observations(signs, readings, new Tally(counts));
    }

    private static List<String> strings(JsonNode array) {
        List<String> strings = new ArrayList<>();
        array.forEach(s -> strings.add(s.asString()));
        return strings;
    }
}
