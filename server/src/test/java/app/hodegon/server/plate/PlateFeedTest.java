package app.hodegon.server.plate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.json.JsonMapper;

/** A plate's lines, one by one. */
class PlateFeedTest {

    private static final JsonMapper JSON = new JsonMapper();

    private final PlateFeed feed = new PlateFeed();
    private final List<PlateFeed.Heard> heard = new ArrayList<>();

    private void take(String lines) {
        for (String line : lines.split("\n")) feed.take(JSON.readTree(line)).ifPresent(heard::add);
    }

    private static StandInLines standIn(Handedness hand) {
        return new StandInLines(new Golfer(hand, 178, PressureSchool.EARLY_RETURN, Map.of(), Pace.USUAL), 4);
    }

    private static String aSwing(StandInLines lines) {
        StringBuilder all = new StringBuilder(lines.lines(100));
        lines.swing();
        while (!lines.resting()) all.append(lines.lines(20));
        return all.append(lines.lines(40)).toString();
    }

    @ParameterizedTest
    @EnumSource(Handedness.class)
    void leftAndRightBecomeLeadAndTrailAndEventsComeAlong(Handedness hand) {
        StandInLines lines = standIn(hand);
        feed.stands(hand);
        take(lines.header() + aSwing(lines));

        assertThat(heard).hasSize(1);
        var trace = heard.get(0).cut().trace();
        int last = trace.length() - 1;
        assertThat(trace.load(Foot.LEAD, last)).isGreaterThan(4 * trace.load(Foot.TRAIL, last));
        assertThat(heard.get(0).told())
                .extracting(m -> m.at())
                .containsExactly(
                        Checkpoint.HIP_BACK,
                        Checkpoint.ARM_BACK,
                        Checkpoint.TOP,
                        Checkpoint.ARM_DOWN,
                        Checkpoint.IMPACT);
        assertThat(feed.lost()).isZero();
    }

    /** By its push: the coach sees at once that the load goes to the wrong foot. */
    @Test
    void whoStandsTheOtherWayRoundIsHeardAllTheSame() {
        StandInLines lines = standIn(Handedness.RIGHT);
        feed.stands(Handedness.LEFT);
        take(lines.header() + aSwing(lines));
        var trace = heard.get(0).cut().trace();
        int last = trace.length() - 1;
        assertThat(trace.load(Foot.TRAIL, last)).isGreaterThan(4 * trace.load(Foot.LEAD, last));
    }

    @Test
    void withoutAnybodyListeningNothingIsCut() {
        StandInLines lines = standIn(Handedness.RIGHT);
        take(lines.header() + aSwing(lines));
        assertThat(heard).isEmpty();
        assertThat(feed.samples()).isGreaterThan(500);
        assertThat(feed.last()).isEmpty();
    }

    @Test
    void aStreamThatComesBackGoesOnAndKnowsWhatItLost() {
        feed.stands(Handedness.RIGHT);
        StandInLines lines = standIn(Handedness.RIGHT);
        take(lines.header() + lines.lines(200));
        lines.lines(30);
        take(lines.header() + lines.lines(100));
        assertThat(feed.lost()).isEqualTo(30);
        assertThat(feed.samples()).isEqualTo(330);

        take(standIn(Handedness.RIGHT).header().replace("stand-in", "another") + "{\"n\":0,\"v\":[1,1,1,1,1,1,1,1]}");
        assertThat(feed.lost()).as("another stream begins anew").isZero();
        assertThat(feed.samples()).isEqualTo(1);
    }

    @Test
    void forcesWithTheirCentresBecomeQuarters() {
        feed.stands(Handedness.RIGHT);
        take("""
                {"rate":100,"unit":"newton","channels":["right-force","right-forward","right-outward","left-force","left-forward","left-outward"]}
                {"v":[300,0.5,0.5,500,0.75,0.25]}""");
        double[] quarters = feed.last();
        double all = 0;
        for (double quarter : quarters) all += quarter;
        assertThat(all).isCloseTo(800, within(1e-9));
        assertThat(quarters[0])
                .as("all of the lead foot on its front inner quarter")
                .isCloseTo(500, within(1e-9));
        assertThat(quarters[4]).as("the trail foot even").isCloseTo(75, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"v\":[1,2]} | the header must come before the samples.",
                "{\"rate\":20,\"unit\":\"newton\",\"channels\":[\"left\",\"right\"]} | rate must be 50 to 1,000",
                "{\"rate\":100,\"unit\":\"stone\",\"channels\":[\"left\",\"right\"]} | stone",
                "{\"rate\":100,\"unit\":\"newton\",\"channels\":[\"left\",\"left\"]} | channels must be"
            })
    void aStreamThatCannotBeIsNamed(String line, String named) {
        assertThatThrownBy(() -> take(line)).hasMessageContaining(named);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"v\":[1]} | one value for each of the 2 channels",
                "{\"v\":[1,\"x\"]} | a value is a number",
                "{\"v\":[1,1000000]} | no plate bears so much",
                "{\"event\":\"impact\"} | an event has a time",
                "{\"event\":\"lunch\",\"t\":1} | lunch",
                "{\"hello\":1} | a line has rate"
            })
    void aLineThatCannotBeIsNamed(String line, String named) {
        take("{\"rate\":100,\"unit\":\"newton\",\"channels\":[\"left\",\"right\"]}");
        assertThatThrownBy(() -> take(line)).hasMessageContaining(named);
    }
}
