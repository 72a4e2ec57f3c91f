package app.hodegon.server.plate;

import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.motion.TraceColumns;
import app.hodegon.core.motion.TraceReader;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.columns.FileShapes;
import app.hodegon.server.columns.FileShapes.Kind;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.plate.TraceImportController.FoundSwing;
import app.hodegon.server.plate.TraceImportController.TraceColumnsEntry;
import app.hodegon.server.plate.TraceImportController.TraceImportBegun;
import app.hodegon.server.plate.TraceImportController.TraceImportEntry;
import app.hodegon.server.plate.TraceImportController.TraceShapeView;
import app.hodegon.server.student.Students;
import app.hodegon.server.trace.Swings;
import app.hodegon.server.trace.Swings.Found;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;

/**
 * Files with loads on their way in: the page reads them row by row and sends what it reads; here swings are cut out, and
 * only those are remembered until the coach takes them or not. One file at a time for each coach.
 */
@Service
class TraceImports {

    /** More swings than this are not taken from one file. */
    private static final int MOST = 400;

    private final Map<UUID, Import> running = new ConcurrentHashMap<>();
    private final FileShapes shapes;
    private final Swings swings;
    private final Lessons lessons;
    private final Students students;

    TraceImports(FileShapes shapes, Swings swings, Lessons lessons, Students students) {
        this.shapes = shapes;
        this.swings = swings;
        this.lessons = lessons;
        this.students = students;
    }

    private record Import(
            UUID id, UUID lesson, Stage stage, TraceImportEntry entry, PlateFeed feed, List<Found> found) {}

    /** What was remembered of such a heading, or what it tells. */
    TraceShapeView shape(Account coach, List<String> heading) {
        return shapes.columns(coach.id(), Kind.LOADS, heading, TraceColumnsEntry.class)
                .map(known -> new TraceShapeView(known, true))
                .orElseGet(() -> new TraceShapeView(TraceColumnsEntry.of(TraceColumns.guess(heading)), false));
    }

    TraceImportBegun begin(Account coach, UUID lessonId, TraceImportEntry entry) {
        var lesson = lessons.ofCoach(coach, lessonId);
        Stage stage = Invalid.in("stage", () -> Identified.of(Stage.class, entry.stage()));
        LoadUnit unit = Invalid.in(
                "columns.unit",
                () -> Identified.of(LoadUnit.class, entry.columns().unit()));
        PlateHeader header = Invalid.in(
                "columns",
                () -> new PlateHeader(
                        "",
                        entry.name(),
                        entry.rate(),
                        unit,
                        List.copyOf(entry.columns().channels().keySet())));
        PlateFeed feed = new PlateFeed();
        feed.stands(students.byId(lesson.studentId()).hand());
        feed.begin(header);
        Import begun = new Import(UUID.randomUUID(), lessonId, stage, entry, feed, new ArrayList<>());
        running.put(coach.id(), begun);
        return new TraceImportBegun(begun.id(), header.channels());
    }

    private Import running(Account coach, UUID id) {
        Import now = running.get(coach.id());
        if (now == null || !now.id().equals(id)) throw new NotFound("import");
        return now;
    }

    /** @param rows each with the sample's number and a value for each channel, null where it was lost */
    List<FoundSwing> rows(Account coach, UUID id, List<List<Double>> rows) {
        Import now = running(coach, id);
        synchronized (now) {
            int before = now.found().size();
            for (List<Double> row : rows) {
                Invalid.in("rows", () -> {
                    double[] values = new double[row.size() - 1];
                    for (int i = 0; i < values.length; i++) {
                        values[i] = row.get(i + 1) == null ? Double.NaN : row.get(i + 1);
                    }
                    now.feed()
                            .sample(row.get(0).longValue(), values)
                            .ifPresent(h -> now.found().add(new Found(h.cut().trace(), h.told())));
                    return row;
                });
            }
            if (now.found().size() > MOST) {
                throw new Invalid("rows", "More than %d swings are in this file: cut it in parts.".formatted(MOST));
            }
            List<FoundSwing> fresh = new ArrayList<>();
            for (int i = before; i < now.found().size(); i++) {
                Found found = now.found().get(i);
                fresh.add(new FoundSwing(
                        i,
                        found.trace().duration(),
                        Swings.spark(found.trace()),
                        TraceReader.read(found.trace(), found.told()).troubles().size()));
            }
            return fresh;
        }
    }

    /** @param leaveOut swings by their place in the file */
    void take(Account coach, UUID id, Set<Integer> leaveOut) {
        Import now = running(coach, id);
        List<Found> taken = new ArrayList<>();
        for (int i = 0; i < now.found().size(); i++)
            if (!leaveOut.contains(i)) taken.add(now.found().get(i));
        if (taken.isEmpty()) throw new Invalid("leaveOut", "No swing is left to be taken.");
        swings.take(coach, now.lesson(), now.stage(), now.entry().name(), taken);
        shapes.remember(
                coach.id(), Kind.LOADS, now.entry().heading(), now.entry().columns());
        running.remove(coach.id(), now);
    }

    void drop(Account coach, UUID id) {
        running.remove(coach.id(), running(coach, id));
    }
}
