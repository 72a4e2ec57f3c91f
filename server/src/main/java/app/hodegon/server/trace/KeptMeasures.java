package app.hodegon.server.trace;

import app.hodegon.core.motion.KeptSwings;
import app.hodegon.core.motion.KeptSwings.Joint;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.swing.Source;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.trace.TraceView.MeasuredView;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What the kept swings of a lesson say together, by what they were measured with. */
@Service
public class KeptMeasures {

    private final MeasuredRepository measured;

    KeptMeasures(MeasuredRepository measured) {
        this.measured = measured;
    }

    /** A swing of a lesson, however it was measured. */
    public interface MeasuredSwing {

        String stage();

        String state();

        List<MeasuredView> readings();
    }

    public static Map<Stage, List<Joint>> joints(List<? extends MeasuredSwing> all) {
        Map<Stage, List<Joint>> joints = new EnumMap<>(Stage.class);
        for (Stage stage : Stage.values()) {
            joints.put(
                    stage,
                    KeptSwings.of(all.stream()
                            .filter(s -> s.state().equals("kept") && s.stage().equals(stage.id()))
                            .map(KeptMeasures::reading)
                            .toList()));
        }
        return joints;
    }

    private static SwingReading reading(MeasuredSwing swing) {
        return new SwingReading(
                List.of(), swing.readings().stream().map(MeasuredView::measured).toList(), List.of());
    }

    /** Replaces what those of one source say. */
    public void put(UUID lesson, Source source, List<? extends MeasuredSwing> all) {
        measured.put(lesson, source, joints(all));
    }
}
