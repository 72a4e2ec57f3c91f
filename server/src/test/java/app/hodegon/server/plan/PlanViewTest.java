package app.hodegon.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.plan.Plan;
import app.hodegon.server.plan.PlanView.BlockView;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Plans stored by earlier versions. */
class PlanViewTest {

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private static BlockView stored(String rung, int balls, String more) {
        return JSON.readValue("""
                {"fault":"sway","drill":"disc-turn","rung":"%s","kind":"main","sets":6,"repsPerSet":8,"restSeconds":60,
                 "balls":%d,"minutes":9.5,"cue":"Turn","scored":false%s}""".formatted(rung, balls, more), BlockView.class);
    }

    @Test
    void aBlockFromBeforeThereWereFormsHadRealBallsAtTheUsualSpeed() {
        BlockView shortBall = stored("short", 12, "");
        assertThat(shortBall.form()).isEqualTo("range");
        assertThat(shortBall.strikes()).isEqualTo(12);
        assertThat(shortBall.speed()).isEqualTo(50);
        assertThat(shortBall.condition()).isNull();
        assertThat(stored("feel", 0, "").form()).isEqualTo("none");
    }

    @Test
    void aStoredHalfStepIsTheOneItWas() {
        BlockView mixed = stored(
                "short",
                0,
                ",\"condition\":\"mixed\",\"conditionLabel\":\"Mixed\",\"conditionDo\":\"Every third set.\","
                        + "\"form\":\"brush\",\"strikes\":12,\"speed\":50");
        PlanView.DayView day = new PlanView.DayView(LocalDate.of(2026, 12, 1), "home", 12, List.of(mixed));
        Plan.Block block = day.toDay().blocks().get(0);
        assertThat(block.condition().map(HalfStep::kind)).contains(HalfStep.Kind.MIXED);
        assertThat(block.balls()).as("a brushed mark is no ball").isZero();
        assertThat(block.strikes()).isEqualTo(12);
    }
}
