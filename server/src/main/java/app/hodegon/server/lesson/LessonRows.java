package app.hodegon.server.lesson;

import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.motion.KeptSwings.Joint;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import app.hodegon.server.db.tables.records.LessonMeasuredRecord;
import app.hodegon.server.db.tables.records.LessonReadingRecord;
import app.hodegon.server.db.tables.records.LessonShotRecord;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a lesson's rows mean. */
final class LessonRows {

    private LessonRows() {}

    static Map<Sign, Boolean> signs(Map<String, Boolean> rows) {
        Map<Sign, Boolean> signs = new EnumMap<>(Sign.class);
        rows.forEach((id, seen) -> signs.put(Identified.of(Sign.class, id), seen));
        return signs;
    }

    static List<Reading> readings(List<LessonReadingRecord> rows, Stage stage) {
        return rows.stream()
                .filter(r -> r.getStage().equals(stage.id()))
                .map(r -> new Reading(
                        Identified.of(Measure.class, r.getMeasure()),
                        Optional.ofNullable(r.getAtCheckpoint()).map(at -> Identified.of(Checkpoint.class, at)),
                        r.getReading(),
                        Identified.of(Source.class, r.getSource()),
                        r.getSwings()))
                .toList();
    }

    /** The readings that kept swings make, by moment; none of a moment that has none. */
    static Map<Stage, List<Reading>> measured(List<LessonMeasuredRecord> rows, boolean ownSpread) {
        Map<Stage, List<Reading>> measured = new EnumMap<>(Stage.class);
        for (LessonMeasuredRecord row : rows) {
            new Joint(
                            Identified.of(Measure.class, row.getMeasure()),
                            Optional.ofNullable(row.getCheckpoint()).map(at -> Identified.of(Checkpoint.class, at)),
                            row.getMeanValue(),
                            row.getSwings(),
                            row.getUncertainty(),
                            row.getSpread() == null ? OptionalDouble.empty() : OptionalDouble.of(row.getSpread()))
                    .reading(Identified.of(Source.class, row.getSource()), ownSpread)
                    .ifPresent(reading -> measured.computeIfAbsent(
                                    Identified.of(Stage.class, row.getStage()), s -> new ArrayList<>())
                            .add(reading));
        }
        return measured;
    }

    static Tally tally(List<LessonShotRecord> rows, Stage stage) {
        Map<BallResult, Integer> counts = new EnumMap<>(BallResult.class);
        for (LessonShotRecord row : rows) {
            if (!row.getStage().equals(stage.id())) continue;
            BallResult.Kind kind = Identified.of(BallResult.Kind.class, row.getKind());
            counts.put(BallResult.of(kind, row.getResult()), row.getHits().intValue());
        }
        return new Tally(counts);
    }
}
