package app.hodegon.server.clip;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Source;
import app.hodegon.core.track.PackedTrack;
import app.hodegon.core.track.Ruler;
import app.hodegon.core.track.Track;
import app.hodegon.server.account.Account;
import app.hodegon.server.clip.ClipController.ClipEntry;
import app.hodegon.server.clip.ClipRepository.Stored;
import app.hodegon.server.clip.ClipRepository.Told;
import app.hodegon.server.clip.ClipsView.ClipPoints;
import app.hodegon.server.clip.ClipsView.ClipView;
import app.hodegon.server.clip.ClipsView.EarlierClips;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.student.Students;
import app.hodegon.server.trace.KeptMeasures;
import app.hodegon.server.trace.KnownMoments;
import app.hodegon.server.trace.Swings.SwingsChanged;
import app.hodegon.server.trace.TraceView.SwingMomentView;
import app.hodegon.server.track.TrackRequest.MarksEntry;
import app.hodegon.server.track.TrackView;
import app.hodegon.server.track.Tracks;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The filmed swings of lessons: kept or thrown away, read again when a moment or the scale is set. */
@Service
public class Clips {

    private static final List<String> STATES = List.of("kept", "thrown");
    private static final int MOST = 60;
    private static final int MOST_EARLIER = 20;

    /** What the coach sets by hand is good to half a picture, and at best to so many ms. */
    private static final double BY_HAND = 5;

    private final ClipRepository clips;
    private final KeptMeasures measured;
    private final Lessons lessons;
    private final Students students;
    private final ApplicationEventPublisher events;

    Clips(
            ClipRepository clips,
            KeptMeasures measured,
            Lessons lessons,
            Students students,
            ApplicationEventPublisher events) {
        this.clips = clips;
        this.measured = measured;
        this.lessons = lessons;
        this.students = students;
        this.events = events;
    }

    ClipsView ofLesson(Account coach, UUID lessonId) {
        return view(lessons.ofCoach(coach, lessonId));
    }

    /** What may stand beside a clip of this lesson from those before. */
    List<EarlierClips> earlier(Account coach, UUID lessonId) {
        return clips.keptBefore(lessons.ofCoach(coach, lessonId), MOST_EARLIER);
    }

    private ClipsView view(StoredLesson lesson) {
        return new ClipsView(
                clips.ofLesson(lesson.id()),
                clips.height(lesson.studentId()).orElse(null),
                clips.agreed(lesson.studentId()).orElse(null));
    }

    private Handedness hand(UUID lesson) {
        return students.byId(lessons.byId(lesson).studentId()).hand();
    }

    @Transactional
    ClipsView add(Account coach, UUID lessonId, ClipEntry entry) {
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        Invalid.in("stage", () -> Identified.of(Stage.class, entry.stage()));
        if (clips.count(lessonId) >= MOST) throw new Conflict("A lesson holds at most " + MOST + " clips.");
        Handedness hand = hand(lessonId);
        // As it will be read again.
        Track track = PackedTrack.unpack(PackedTrack.pack(entry.track().track(hand)));
        Double height = entry.track().height();
        if (height != null) clips.setHeight(lesson.studentId(), height);
        List<Moment> known = entry.track().known(track).stream()
                .map(m -> new Moment(m.at(), m.seconds(), Origin.CORRECTED, m.uncertainty()))
                .toList();
        Told told = new Told(
                entry.track().scale(),
                height,
                known.stream().map(SwingMomentView::of).toList());
        TrackView read = read(track, told, hand);
        if (read.moments().isEmpty()) throw new Invalid("frames", "There is no swing in this film.");
        clips.add(lessonId, entry, track, told, read);
        return changed(lesson);
    }

    private static TrackView read(Track track, Told told, Handedness hand) {
        Optional<Ruler> marks = Optional.ofNullable(told.marks()).map(MarksEntry::ruler);
        List<Moment> known =
                told.moments().stream().map(SwingMomentView::moment).toList();
        return TrackView.of(Tracks.read(track, marks, told.golferHeight(), known, hand), hand);
    }

    /**
     * Sets moments and the scale by hand; what rests on them follows.
     *
     * @param moved seconds by checkpoint; null gives a moment back to what was found
     */
    @Transactional
    ClipsView tell(Account coach, UUID id, Map<String, Double> moved, MarksEntry marks, Double height) {
        StoredLesson lesson = toChange(coach, id);
        Stored stored = clips.byId(id).orElseThrow(() -> new NotFound("clip"));
        List<Moment> set = KnownMoments.moved(stored.told().moments(), moved, at -> byHand(at, stored.track()));
        if (height != null) clips.setHeight(lesson.studentId(), height);
        Told now = new Told(marks, height, set.stream().map(SwingMomentView::of).toList());
        clips.tell(id, now, read(stored.track(), now, hand(lesson.id())));
        return changed(lesson);
    }

    private static double byHand(double seconds, Track track) {
        return Math.max(BY_HAND, 500 * track.stepAt(seconds));
    }

    @Transactional
    ClipsView decide(Account coach, UUID id, String state, Stage stage) {
        if (!STATES.contains(state)) throw new Invalid("state", "Accepted: " + String.join(", ", STATES) + ".");
        StoredLesson lesson = toChange(coach, id);
        clips.decide(id, state, stage.id());
        return changed(lesson);
    }

    @Transactional
    ClipsView delete(Account coach, UUID id) {
        StoredLesson lesson = toChange(coach, id);
        clips.delete(id);
        return changed(lesson);
    }

    ClipPoints points(Account coach, UUID id) {
        Stored stored = ofCoach(coach, id);
        Track track = stored.track();
        Handedness hand = hand(stored.lesson());
        List<BodyPoint> points =
                Track.POINTS.stream().filter(p -> track.path(p).isPresent()).toList();
        List<Double> times = new ArrayList<>();
        List<List<List<Double>>> frames = new ArrayList<>();
        for (int i = 0; i < track.length(); i++) {
            times.add(track.time(i));
            List<List<Double>> frame = new ArrayList<>();
            for (BodyPoint point : points) frame.add(inPicture(track, point, i, hand));
            frames.add(frame);
        }
        return new ClipPoints(times, points.stream().map(p -> p.name(hand)).toList(), frames);
    }

    private static List<Double> inPicture(Track track, BodyPoint point, int i, Handedness hand) {
        Track.Path path = track.path(point).orElseThrow();
        if (Double.isNaN(path.along()[i])) return null;
        return List.of(track.view().sign(hand) * path.along()[i], -path.up()[i], path.certainty()[i]);
    }

    /** A moment's picture; refused while nobody agreed that pictures are kept. */
    @Transactional
    void putPicture(Account coach, UUID id, Checkpoint at, byte[] jpeg) {
        StoredLesson lesson = toChange(coach, id);
        if (clips.agreed(lesson.studentId()).isEmpty()) {
            throw new Conflict("Nobody agreed yet that pictures of this student are kept.");
        }
        clips.putPicture(id, at.id(), jpeg);
    }

    byte[] picture(Account coach, UUID id, Checkpoint at) {
        ofCoach(coach, id);
        return clips.picture(id, at.id()).orElseThrow(() -> new NotFound("picture"));
    }

    /** @param by who agrees that pictures are kept; null takes it back, and the pictures out */
    @Transactional
    void agree(Account coach, UUID student, String by) {
        students.toChange(coach, student);
        if (by == null) clips.disagree(student);
        else clips.agree(student, by);
        students.changed(student);
    }

    /** Reads everything that is stored of a lesson's clips, so that what cannot be read shows now. */
    public void readWhole(UUID lesson) {
        List<ClipView> all = clips.ofLesson(lesson);
        for (ClipView clip : all) {
            if (!STATES.contains(clip.state())) throw new IllegalArgumentException("state of a clip");
            Identified.of(Stage.class, clip.stage());
            clip.moments().forEach(SwingMomentView::moment);
            clips.byId(clip.id()).orElseThrow().told().moments().forEach(SwingMomentView::moment);
            for (String at : clip.pictures()) {
                Identified.of(Checkpoint.class, at);
                if (!Jpeg.is(clips.picture(clip.id(), at).orElseThrow())) throw new IllegalArgumentException("picture");
            }
        }
        KeptMeasures.joints(all);
    }

    private Stored ofCoach(Account coach, UUID id) {
        Stored stored = clips.byId(id).orElseThrow(() -> new NotFound("clip"));
        lessons.ofCoach(coach, stored.lesson());
        return stored;
    }

    private StoredLesson toChange(Account coach, UUID id) {
        return lessons.toChange(coach, clips.lessonOf(id).orElseThrow(() -> new NotFound("clip")));
    }

    private ClipsView changed(StoredLesson lesson) {
        measured.put(lesson.id(), Source.CLIP, clips.ofLesson(lesson.id()));
        events.publishEvent(new SwingsChanged(lesson.id()));
        return view(lesson);
    }
}
