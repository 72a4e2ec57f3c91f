package app.hodegon.server.trace;

import app.hodegon.core.motion.KeptSwings;
import app.hodegon.core.motion.KeptSwings.Joint;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.swing.Source;
import app.hodegon.server.lesson.Stage;
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

    /** @param kept what the kept swings of each moment told */
    public static Map<Stage, List<Joint>> joints(Map<Stage, List<SwingReading>> kept) {
        Map<Stage, List<Joint>> joints = new EnumMap<>(Stage.class);
        kept.forEach((stage, swings) -> joints.put(stage, KeptSwings.of(swings)));
        return joints;
    }

    /** Replaces what those of one source say. */
    public void put(UUID lesson, Source source, Map<Stage, List<Joint>> joints) {
        measured.put(lesson, source, joints);
    }
}
