package app.hodegon.server.trace;

import app.hodegon.core.motion.KeptSwings;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.SeveralSwingsException;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.motion.TraceCurve;
import app.hodegon.core.motion.TraceReader;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.server.account.Account;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.student.Students;
import app.hodegon.server.trace.SwingsView.CurveView;
import app.hodegon.server.trace.SwingsView.EarlierSwings;
import app.hodegon.server.trace.SwingsView.HalvesView;
import app.hodegon.server.trace.SwingsView.JointView;
import app.hodegon.server.trace.SwingsView.SwingView;
import app.hodegon.server.trace.TraceView.SwingMomentView;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The swings of lessons: heard, kept or thrown away, and read again when a moment is moved. */
@Service
public class Swings {

    /** What can be done with a swing; to take it back is to say the earlier one again. */
    private static final List<String> STATES = List.of("heard", "kept", "thrown");

    /** A lesson hears no more than this. */
    private static final int MOST = 1000;

    private static final int MOST_EARLIER = 40;
    private static final double CURVE_PER_SECOND = 100;
    private static final int SPARK_POINTS = 48;
    private static final int LONGEST_DEVICE = 80;

    /** What the coach sets by hand is good to so many ms. */
    private static final double BY_HAND = 10;

    private final SwingRepository swings;
    private final KeptMeasures measured;
    private final Lessons lessons;
    private final Students students;
    private final Approaches approaches;
    private final ApplicationEventPublisher events;

    Swings(
            SwingRepository swings,
            KeptMeasures measured,
            Lessons lessons,
            Students students,
            Approaches approaches,
            ApplicationEventPublisher events) {
        this.swings = swings;
        this.measured = measured;
        this.lessons = lessons;
        this.students = students;
        this.approaches = approaches;
        this.events = events;
    }

    /** Something about a lesson's swings is another than it was. */
    public record SwingsChanged(UUID lesson) {}

    /**
     * Stores a swing that was just heard.
     *
     * @throws NotFound if this coach may not change the lesson, or no longer
     */
    @Transactional
    public void heard(Account coach, UUID lessonId, Stage stage, String device, Trace trace, List<Moment> told) {
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        room(lessonId, 1);
        add(lesson, stage, new Arrival("heard", null, device), trace, told);
        events.publishEvent(new SwingsChanged(lessonId));
    }

    /**
     * How a swing came.
     *
     * @param file null for one that was heard live
     */
    record Arrival(String state, UUID file, String device) {}

    private void room(UUID lesson, int more) {
        if (swings.count(lesson) + more > MOST) {
            throw new Conflict("A lesson holds at most %,d swings.".formatted(MOST));
        }
    }

    private void add(StoredLesson lesson, Stage stage, Arrival arrival, Trace trace, List<Moment> told) {
        Handedness hand = hand(lesson);
        swings.add(
                lesson.id(),
                stage,
                arrival,
                trace,
                spark(trace),
                told.stream().map(SwingMomentView::of).toList(),
                TraceView.of(read(trace, told, hand, "moments"), hand));
    }

    /** A swing found in a file. */
    public record Found(Trace trace, List<Moment> told) {}

    /** Takes the swings of a file into a lesson, as kept ones; all of them go out again with the file. */
    @Transactional
    public void take(Account coach, UUID lessonId, Stage stage, String name, List<Found> found) {
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        room(lessonId, found.size());
        UUID file = swings.addFile(lessonId, stage, name);
        String device = name.substring(0, Math.min(LONGEST_DEVICE, name.length()));
        found.forEach(one -> add(lesson, stage, new Arrival("kept", file, device), one.trace(), one.told()));
        changed(coach, lessonId);
    }

    @Transactional
    SwingsView takeOut(Account coach, UUID file) {
        UUID lesson = swings.lessonOfFile(file).orElseThrow(() -> new NotFound("file"));
        lessons.toChange(coach, lesson);
        swings.deleteFile(file);
        return changed(coach, lesson);
    }

    /** A swing's loads as a table: seconds, and the channels by left and right. */
    String csv(Account coach, UUID id) {
        SwingRepository.Stored stored = ofCoach(coach, id);
        return Channels.csv(stored.trace(), hand(lessons.byId(stored.lesson())));
    }

    /** What is refused is said for this hand, under the field's name. */
    static SwingReading read(Trace trace, List<Moment> told, Handedness hand, String field) {
        try {
            return TraceReader.read(trace, told);
        } catch (IllegalArgumentException refused) {
            throw new Invalid(
                    refused instanceof SeveralSwingsException ? "channels" : field, hand.say(refused.getMessage()));
        }
    }

    /** Trail share at even steps, %. */
    public static List<Integer> spark(Trace trace) {
        double[] share = TraceCurve.of(trace, SPARK_POINTS / trace.duration()).trailShare();
        List<Integer> spark = new ArrayList<>();
        int last = 50;
        for (double value : share) {
            if (!Double.isNaN(value)) last = (int) Math.round(value);
            spark.add(last);
        }
        return spark;
    }

    private Handedness hand(StoredLesson lesson) {
        return students.byId(lesson.studentId()).hand();
    }

    SwingsView ofLesson(Account coach, UUID lessonId) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        Repeatability assumed =
                approaches.repeatability(students.byId(lesson.studentId()).coachId());
        List<SwingView> all = swings.ofLesson(lessonId);
        List<JointView> together = new ArrayList<>();
        KeptMeasures.joints(all)
                .forEach((stage, joints) -> joints.forEach(j -> together.add(JointView.of(
                        stage.id(), j, assumed.sem(j.measure(), Source.PLATE).orElse(j.uncertainty())))));
        return new SwingsView(
                all,
                swings.files(lessonId),
                together,
                swings.ownSpread(lessonId),
                KeptSwings.READING_FROM,
                KeptSwings.OWN_FROM);
    }

    /** What may be laid under a swing of this lesson from those before, the latest lesson first. */
    List<EarlierSwings> earlier(Account coach, UUID lessonId) {
        return swings.keptBefore(lessons.ofCoach(coach, lessonId), MOST_EARLIER).entrySet().stream()
                .map(day -> new EarlierSwings(day.getKey(), day.getValue()))
                .toList();
    }

    /** Reads everything that is stored of a lesson's swings, so that what cannot be read shows now. */
    public void readWhole(UUID lesson) {
        List<SwingView> all = swings.ofLesson(lesson);
        for (SwingView swing : all) {
            if (!STATES.contains(swing.state())) throw new IllegalArgumentException("state of a swing");
            Identified.of(Stage.class, swing.stage());
            swing.moments().forEach(SwingMomentView::moment);
            swings.byId(swing.id()).orElseThrow().told().forEach(SwingMomentView::moment);
        }
        KeptMeasures.joints(all);
        swings.files(lesson).forEach(file -> Identified.of(Stage.class, file.stage()));
    }

    CurveView curve(Account coach, UUID id) {
        SwingRepository.Stored stored = ofCoach(coach, id);
        TraceCurve curve = TraceCurve.of(stored.trace(), CURVE_PER_SECOND);
        return new CurveView(
                id,
                curve.step(),
                list(curve.trailShare()),
                list(curve.push()),
                curve.halves()
                        .map(h -> new HalvesView(
                                list(h.leadFront()), list(h.leadOuter()), list(h.trailFront()), list(h.trailOuter())))
                        .orElse(null));
    }

    private static List<Double> list(double[] values) {
        return Arrays.stream(values)
                .mapToObj(v -> Double.isNaN(v) ? null : Double.valueOf(Math.round(10 * v) / 10.0))
                .toList();
    }

    /** The swing with its loads, if its lesson may be seen. */
    SwingRepository.Stored ofCoach(Account coach, UUID id) {
        SwingRepository.Stored stored = swings.byId(id).orElseThrow(() -> new NotFound("swing"));
        lessons.ofCoach(coach, stored.lesson());
        return stored;
    }

    /** Keeps a swing, throws it away or takes either back; it may be of the other moment of the lesson. */
    @Transactional
    SwingsView decide(Account coach, UUID id, String state, Stage stage) {
        if (!STATES.contains(state)) throw new Invalid("state", "Accepted: " + String.join(", ", STATES) + ".");
        UUID lesson = toChange(coach, id);
        swings.decide(id, state, stage.id());
        return changed(coach, lesson);
    }

    /**
     * Sets moments by hand; what rests on them follows.
     *
     * @param moved seconds from the first sample by checkpoint; null gives a moment back to what was told or found
     */
    @Transactional
    SwingsView move(Account coach, UUID id, Map<String, Double> moved) {
        UUID lesson = toChange(coach, id);
        SwingRepository.Stored stored = swings.byId(id).orElseThrow(() -> new NotFound("swing"));
        Handedness hand = hand(lessons.byId(lesson));
        List<Moment> moments = KnownMoments.moved(stored.told(), moved, seconds -> BY_HAND);
        swings.tell(
                id,
                moments.stream().map(SwingMomentView::of).toList(),
                TraceView.of(read(stored.trace(), moments, hand, "moments"), hand));
        return changed(coach, lesson);
    }

    @Transactional
    SwingsView ownSpread(Account coach, UUID lessonId, boolean own) {
        lessons.toChange(coach, lessonId);
        swings.ownSpread(lessonId, own);
        events.publishEvent(new SwingsChanged(lessonId));
        return ofLesson(coach, lessonId);
    }

    private UUID toChange(Account coach, UUID id) {
        UUID lesson = swings.lessonOf(id).orElseThrow(() -> new NotFound("swing"));
        lessons.toChange(coach, lesson);
        return lesson;
    }

    private SwingsView changed(Account coach, UUID lesson) {
        measured.put(lesson, Source.PLATE, swings.ofLesson(lesson));
        events.publishEvent(new SwingsChanged(lesson));
        return ofLesson(coach, lesson);
    }
}
