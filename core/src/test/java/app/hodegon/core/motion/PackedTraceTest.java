package app.hodegon.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.golfer.Plate.Shape;
import java.util.Arrays;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PackedTraceTest {

    @ParameterizedTest
    @EnumSource(Shape.class)
    void comesBackAsItWasWithinAStep(Shape shape) {
        GolfSwing swing =
                TraceReaderTest.golfer(PressureSchool.CENTRED, Map.of()).swing();
        Trace trace = new Plate(200, 0.5, LoadUnit.KILOGRAM, 82).record(swing, shape, 0.8, 0.5, new Random(1));
        byte[] packed = PackedTrace.pack(trace);
        Trace back = PackedTrace.unpack(packed);

        assertThat(packed).hasSizeLessThan(shape == Shape.FEET ? 2_000 : 7_200);
        assertThat(back.rate()).isEqualTo(200);
        assertThat(back.unit()).isEqualTo(LoadUnit.KILOGRAM);
        assertThat(back.hasCells()).isEqualTo(trace.hasCells());
        for (int i = 0; i < trace.length(); i++) {
            for (Foot foot : Foot.values()) assertThat(back.load(foot, i)).isCloseTo(trace.load(foot, i), within(0.02));
        }
        assertThatThrownBy(() -> PackedTrace.unpack(Arrays.copyOf(packed, packed.length / 2)))
                .hasMessage("these are no packed loads.");
    }

    @Test
    void whatWasLostStaysLost() {
        double[] lead = new double[60];
        Arrays.fill(lead, 40);
        lead[30] = Double.NaN;
        lead[59] = Double.NaN;
        Trace back = PackedTrace.unpack(PackedTrace.pack(Trace.ofFeet(100, LoadUnit.NEWTON, lead, lead)));
        assertThat(back.load(Foot.LEAD, 30)).isNaN();
        assertThat(back.load(Foot.LEAD, 31)).isCloseTo(40, within(0.01));
        assertThat(back.load(Foot.TRAIL, 59)).isNaN();
    }
}
