package app.hodegon.server.clip;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.practice.Attention.Film;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Source;
import app.hodegon.core.track.PackedTrack;
import app.hodegon.core.track.Ruler;
import app.hodegon.core.track.Track;
import app.hodegon.core.track.View;
import app.hodegon.server.account.Account;
import app.hodegon.server.clip.ClipController.SentEntry;
import app.hodegon.server.clip.ClipRepository.Of;
import app.hodegon.server.clip.ClipRepository.Stored;
import app.hodegon.server.clip.ClipRepository.Told;
import app.hodegon.server.clip.ClipsView.ClipPoints;
import app.hodegon.server.clip.ClipsView.ClipView;
import app.hodegon.server.clip.ClipsView.EarlierClips;
import app.hodegon.server.clip.ClipsView.SentClip;
import app.hodegon.server.film.Mp4;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import app.hodegon.server.trace.KeptMeasures;
import app.hodegon.server.trace.KnownMoments;
import app.hodegon.server.trace.Swings.SwingsChanged;
import app.hodegon.server.trace.TraceView.MeasuredView;
import app.hodegon.server.trace.TraceView.SwingMomentView;
import app.hodegon.server.track.TrackRequest.MarksEntry;
import app.hodegon.server.track.TrackView;
import app.hodegon.server.track.Tracks;
import app.hodegon.server.zone.Today;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
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

    /** Films of one student that the coach has not looked at. */
    private static final int MOST_WAITING = 5;

    /** Films of one student that are kept. */
    private static final int MOST_FILMS = 12;

    private static final String PRACTICE = "practice";

    /** What the coach sets by hand is good to half a picture, and at best to so many ms. */
    private static final double BY_HAND = 5;

    private final ClipRepository clips;
    private final KeptMeasures measured;
    private final Lessons lessons;
    private final Students students;
    private final Today today;
    private final ApplicationEventPublisher events;

    Clips(
            ClipRepository clips,
            KeptMeasures measured,
            Lessons lessons,
            Students students,
            Today today,
            ApplicationEventPublisher events) {
        this.clips = clips;
        this.measured = measured;
        this.lessons = lessons;
        this.students = students;
        this.today = today;
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
        return view(clips.ofLesson(lesson.id()), lesson.studentId());
    }

    private ClipsView view(List<ClipView> all, UUID student) {
        return new ClipsView(
                all, clips.height(student).orElse(null), clips.agreed(student).orElse(null));
    }

    @Transactional
    ClipsView add(Account coach, UUID lessonId, ClipEntry entry) {
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        Invalid.in("stage", () -> Identified.of(Stage.class, entry.stage()));
        if (clips.count(lessonId) >= MOST) throw new Conflict("A lesson holds at most " + MOST + " clips.");
        add(new Of(lesson.studentId(), lessonId, null, entry.stage()), entry);
        return changed(lesson);
    }

    private UUID add(Of of, Filmed entry) {
        Handedness hand = students.byId(of.student()).hand();
        // As it will be read again.
        Track track = PackedTrack.unpack(PackedTrack.pack(entry.track().track(hand)));
        Double height = entry.track().height();
        if (height != null) clips.setHeight(of.student(), height);
        Double known = height != null ? height : clips.height(of.student()).orElse(null);
        List<Moment> moments = entry.track().known(track).stream()
                .map(m -> new Moment(m.at(), m.seconds(), Origin.CORRECTED, m.uncertainty()))
                .toList();
        Told told = new Told(
                entry.track().scale(),
                known,
                moments.stream().map(SwingMomentView::of).toList());
        TrackView read = read(track, told, hand);
        if (read.moments().isEmpty()) throw new Invalid("frames", "There is no swing in this film.");
        return clips.add(of, entry, track, told, read);
    }

    /**
     * A clip with its pictures, as a page keeps them.
     *
     * @param by who agrees that they are kept
     */
    public void keep(
            Account coach,
            StoredLesson lesson,
            String by,
            ClipEntry entry,
            Map<Checkpoint, byte[]> stills,
            byte[] film) {
        agree(coach, lesson.studentId(), by);
        List<ClipView> all = add(coach, lesson.id(), entry).clips();
        UUID id = all.get(all.size() - 1).id();
        stills.forEach((at, jpeg) -> putPicture(coach, id, at, jpeg));
        putFilm(coach, id, by, film);
    }

    /**
     * A swing of a day of practice, as the phone found it; the film itself stays there.
     *
     * @throws Conflict while the coach has not looked at those before
     */
    @Transactional
    List<SentClip> send(Account account, SentEntry entry) {
        UUID student = students.self(account).id();
        students.lock(student);
        if (clips.unseen(student, MOST_WAITING).size() == MOST_WAITING) {
            throw new Conflict(
                    "Your coach has " + MOST_WAITING + " films of yours to look at: wait for a word on them.");
        }
        add(new Of(student, null, today.ofStudent(student), PRACTICE), entry);
        if (entry.agreed() != null && clips.agreed(student).isEmpty()) clips.agree(student, entry.agreed());
        events.publishEvent(new StudentChanged(student));
        return clips.sent(student, MOST_EARLIER);
    }

    List<SentClip> own(Account account) {
        return clips.sent(students.self(account).id(), MOST_EARLIER);
    }

    @Transactional
    void sendPicture(Account account, UUID id, Checkpoint at, byte[] jpeg) {
        keepPicture(ownSent(account, id), id, at, jpeg);
    }

    @Transactional
    void sendFilm(Account account, UUID id, String by, byte[] mp4) {
        keepFilm(ownSent(account, id), id, by, mp4);
    }

    @Transactional
    List<SentClip> takeBack(Account account, UUID id) {
        UUID student = ownSent(account, id);
        clips.delete(id);
        events.publishEvent(new StudentChanged(student));
        return clips.sent(student, MOST_EARLIER);
    }

    /** Whose it is, if it is one that this student sent. */
    private UUID ownSent(Account account, UUID id) {
        UUID student = students.self(account).id();
        students.lock(student);
        return clips.of(id)
                .filter(of -> of.student().equals(student) && of.lesson() == null)
                .orElseThrow(() -> new NotFound("clip"))
                .student();
    }

    List<SentClip> sent(Account coach, UUID student) {
        students.ofCoach(coach, student);
        return clips.sent(student, MOST_EARLIER);
    }

    @Transactional
    void see(Account coach, UUID id) {
        UUID student = ownToChange(coach, id);
        clips.see(id);
        events.publishEvent(new StudentChanged(student));
    }

    /** What a student sent and the coach has not looked at. */
    public List<Film> waiting(UUID student) {
        return clips.unseen(student, MOST_WAITING).stream()
                .map(sent -> film(sent.practisedOn(), sent.clip()))
                .toList();
    }

    private static Film film(LocalDate on, ClipView clip) {
        View view = Identified.of(View.class, clip.view());
        boolean face = view == View.FACE_ON;
        String measure = (face ? Measure.PELVIS_DRIFT : Measure.PELVIS_THRUST).id();
        String at = (face ? Checkpoint.TOP : Checkpoint.IMPACT).id();
        OptionalDouble pelvis = clip.readings().stream()
                .filter(r -> r.measure().equals(measure) && at.equals(r.at()))
                .mapToDouble(MeasuredView::value)
                .findFirst();
        return new Film(clip.id(), on, view, pelvis);
    }

    private static TrackView read(Track track, Told told, Handedness hand) {
        Optional<Ruler> marks = Optional.ofNullable(told.marks()).map(MarksEntry::ruler);
        List<Moment> known =
                told.moments().stream().map(SwingMomentView::moment).toList();
        Track seen = track.isByHand() ? track : track.asFound();
        return TrackView.of(Tracks.read(seen, marks, told.golferHeight(), known, hand), hand);
    }

    /**
     * Sets moments and the scale by hand; what rests on them follows.
     *
     * @param moved seconds by checkpoint; null gives a moment back to what was found
     */
    @Transactional
    ClipsView tell(Account coach, UUID id, Map<String, Double> moved, MarksEntry marks, Double height) {
        Stored stored = clips.byId(id).orElseThrow(() -> new NotFound("clip"));
        students.toChange(coach, stored.student());
        Optional<StoredLesson> lesson = Optional.ofNullable(stored.lesson()).map(of -> lessons.toChange(coach, of));
        List<Moment> set = KnownMoments.moved(stored.told().moments(), moved, at -> byHand(at, stored.track()));
        if (height != null) clips.setHeight(stored.student(), height);
        Told now = new Told(marks, height, set.stream().map(SwingMomentView::of).toList());
        clips.tell(
                id,
                now,
                read(stored.track(), now, students.byId(stored.student()).hand()));
        return lesson.map(this::changed).orElseGet(() -> view(clips.alone(id), stored.student()));
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
        Handedness hand = students.byId(stored.student()).hand();
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
        return new ClipPoints(times, points.stream().map(p -> p.name(hand)).toList(), frames, track.isByHand());
    }

    private static List<Double> inPicture(Track track, BodyPoint point, int i, Handedness hand) {
        Track.Path path = track.path(point).orElseThrow();
        if (Double.isNaN(path.along()[i])) return null;
        return List.of(track.view().sign(hand) * path.along()[i], -path.up()[i], path.certainty()[i]);
    }

    /** A moment's picture; refused while nobody agreed that pictures are kept. */
    @Transactional
    void putPicture(Account coach, UUID id, Checkpoint at, byte[] jpeg) {
        keepPicture(toChange(coach, id).studentId(), id, at, jpeg);
    }

    private void keepPicture(UUID student, UUID id, Checkpoint at, byte[] jpeg) {
        mayBeKept(student);
        clips.putPicture(id, at.id(), jpeg);
    }

    private void mayBeKept(UUID student) {
        if (clips.agreed(student).isEmpty()) {
            throw new Conflict("Nobody agreed yet that pictures of this student are kept.");
        }
    }

    /**
     * The film of a swing, of a lesson or sent.
     *
     * @param by who agrees to this one
     * @throws Conflict while nobody agreed, and where as many are kept as may be
     */
    @Transactional
    void putFilm(Account coach, UUID id, String by, byte[] mp4) {
        keepFilm(ownToChange(coach, id), id, by, mp4);
    }

    private void keepFilm(UUID student, UUID id, String by, byte[] mp4) {
        mayBeKept(student);
        if (clips.filmsBeside(student, id) >= MOST_FILMS) {
            throw new Conflict(MOST_FILMS + " films of this student are kept: let an older one go first.");
        }
        clips.putFilm(id, by, mp4);
    }

    @Transactional
    void deleteFilm(Account coach, UUID id) {
        ownToChange(coach, id);
        clips.deleteFilm(id);
    }

    byte[] film(Account coach, UUID id) {
        ofCoach(coach, id);
        return clips.film(id).orElseThrow(() -> new NotFound("film"));
    }

    /** Whose clip it is, of a lesson or sent. */
    private UUID ownToChange(Account coach, UUID id) {
        UUID student = clips.of(id).orElseThrow(() -> new NotFound("clip")).student();
        students.toChange(coach, student);
        return student;
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
        all.forEach(clip -> Identified.of(Stage.class, clip.stage()));
        read(all);
    }

    /** The same of all that a student sent. */
    public void readSent(UUID student) {
        List<SentClip> all = clips.sent(student, Integer.MAX_VALUE);
        all.forEach(sent -> Objects.requireNonNull(sent.practisedOn()));
        read(all.stream().map(SentClip::clip).toList());
    }

    private void read(List<ClipView> all) {
        for (ClipView clip : all) {
            if (!STATES.contains(clip.state())) throw new IllegalArgumentException("state of a clip");
            clip.moments().forEach(SwingMomentView::moment);
            clips.byId(clip.id()).orElseThrow().told().moments().forEach(SwingMomentView::moment);
            for (String at : clip.pictures()) {
                Identified.of(Checkpoint.class, at);
                if (!Jpeg.is(clips.picture(clip.id(), at).orElseThrow())) throw new IllegalArgumentException("picture");
            }
            if (clip.film() != null) {
                byte[] film = clips.film(clip.id()).orElseThrow();
                if (!Mp4.is(film) || film.length != clip.film()) throw new IllegalArgumentException("film");
            }
        }
        KeptMeasures.joints(all);
    }

    private Stored ofCoach(Account coach, UUID id) {
        Stored stored = clips.byId(id).orElseThrow(() -> new NotFound("clip"));
        students.ofCoach(coach, stored.student());
        return stored;
    }

    private StoredLesson toChange(Account coach, UUID id) {
        return lessons.toChange(coach, clips.of(id).map(Of::lesson).orElseThrow(() -> new NotFound("clip")));
    }

    private ClipsView changed(StoredLesson lesson) {
        measured.put(lesson.id(), Source.CLIP, clips.ofLesson(lesson.id()));
        events.publishEvent(new SwingsChanged(lesson.id()));
        return view(lesson);
    }
}
