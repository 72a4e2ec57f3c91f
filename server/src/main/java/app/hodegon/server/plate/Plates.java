package app.hodegon.server.plate;

import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.swing.Handedness;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.SignIns;
import app.hodegon.server.http.Failure;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.student.Students;
import app.hodegon.server.trace.Swings;
import app.hodegon.server.trace.Swings.SwingsChanged;
import app.hodegon.server.zone.Today;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The plates that stream in, the lessons that listen to them, and the pages that look at those. */
@Service
public class Plates implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(Plates.class);

    /** A page asks anew after so long, ms: who was signed out meanwhile hears no more. */
    private static final long PAGE_LIVES = 10 * 60_000L;

    /** Without a line for so long a plate is gone, ms. */
    private static final long SILENT = 2_500;

    /** A page that went may come again within so long, ms; then the lesson stops listening. */
    private static final long PAGE_RETURNS = 10_000;

    private static final int SENDERS = 4;

    private final Map<UUID, Desk> desks = new ConcurrentHashMap<>();
    private final List<PlatePage> pages = new CopyOnWriteArrayList<>();
    private final ExecutorService senders = Executors.newFixedThreadPool(SENDERS);
    private final Swings swings;
    private final Lessons lessons;
    private final Students students;
    private final SignIns signIns;
    private final Today today;
    private final JsonMapper json;
    private volatile boolean running;

    Plates(Swings swings, Lessons lessons, Students students, SignIns signIns, Today today, JsonMapper json) {
        this.swings = swings;
        this.lessons = lessons;
        this.students = students;
        this.signIns = signIns;
        this.today = today;
        this.json = json;
    }

    /**
     * A lesson that listens.
     *
     * @param coach who asked it to; asked for again at every swing
     * @param on the coach's day when it began, with which it ends
     */
    private record Listening(Account coach, UUID lesson, UUID student, Stage stage, Handedness hand, LocalDate on) {}

    /** What stands at one coach's teaching place. Guarded by itself, but for what pages are shown: they never wait. */
    private static final class Desk {
        private final PlateFeed feed = new PlateFeed();
        private String problem;
        private boolean unstored;
        private volatile Listening listening;
        private volatile long heardOf;
        private volatile long watchedAt;
        private volatile Shown shown = new Shown(null, 0, 0, null, new double[0]);
    }

    /** A desk at one instant. */
    private record Shown(String plate, double rate, long lost, String problem, double[] loads) {}

    /**
     * @param listening the lesson that hears the swings; null for none
     * @param lost samples lost since the stream began
     * @param problem what is wrong with the stream; null for nothing
     */
    record PlateState(
            boolean connected, String plate, double rate, long lost, UUID listening, String stage, String problem) {}

    /** Shares of the last sample, %; halves null where the plate tells only the feet. */
    record LoadsNow(double trailShare, Double leadFront, Double leadOuter, Double trailFront, Double trailOuter) {}

    private Desk desk(UUID coach) {
        return desks.computeIfAbsent(coach, c -> new Desk());
    }

    /**
     * A page looks at a lesson, which from now on hears the coach's plate.
     *
     * @param session by which the page is signed in
     */
    SseEmitter listen(Account coach, UUID lessonId, Stage stage, String session) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        Handedness hand = students.byId(lesson.studentId()).hand();
        SseEmitter emitter = new SseEmitter(PAGE_LIVES);
        PlatePage page = new PlatePage(coach, lesson, session, emitter, senders);
        emitter.onCompletion(() -> pages.remove(page));
        emitter.onTimeout(page::close);
        pages.add(page);
        Desk desk = desk(coach.id());
        synchronized (desk) {
            desk.listening = new Listening(coach, lessonId, lesson.studentId(), stage, hand, today.ofCoach(coach.id()));
            desk.watchedAt = now();
            desk.feed.stands(hand);
            show(desk);
        }
        page.tell(state(desk));
        return emitter;
    }

    private static long now() {
        return System.nanoTime() / 1_000_000;
    }

    private static void show(Desk desk) {
        desk.shown = new Shown(
                desk.feed.header().map(PlateHeader::plate).orElse(null),
                desk.feed.header().map(PlateHeader::rate).orElse(0.0),
                desk.feed.lost(),
                desk.unstored ? "The last swing could not be stored." : desk.problem,
                desk.feed.last());
    }

    private static PlateState state(Desk desk) {
        boolean connected = now() - desk.heardOf < SILENT && desk.heardOf != 0;
        Shown shown = desk.shown;
        Listening listening = desk.listening;
        return new PlateState(
                connected,
                shown.plate(),
                shown.rate(),
                shown.lost(),
                listening == null ? null : listening.lesson(),
                listening == null ? null : listening.stage().id(),
                shown.problem());
    }

    /**
     * Takes lines of a coach's plate.
     *
     * @throws IllegalArgumentException if one of them is none of the stream's; those before it are taken
     */
    public void take(UUID coach, String lines) {
        Desk desk = desk(coach);
        synchronized (desk) {
            desk.heardOf = now();
            try {
                for (String line : lines.split("\n")) {
                    if (!line.isBlank()) {
                        desk.feed.take(json.readTree(line)).ifPresent(heard -> store(desk, heard));
                    }
                    desk.heardOf = now();
                }
                desk.problem = null;
            } catch (JacksonException unreadable) {
                desk.problem = "A line of the stream is no JSON.";
                throw new IllegalArgumentException(desk.problem);
            } catch (IllegalArgumentException wrong) {
                desk.problem = "The stream is not understood: " + wrong.getMessage();
                throw wrong;
            } finally {
                show(desk);
            }
        }
    }

    private void store(Desk desk, PlateFeed.Heard heard) {
        Listening listening = desk.listening;
        if (listening == null || !goesOn(desk, listening)) {
            desk.listening = null;
            return;
        }
        String plate = desk.feed.header().map(PlateHeader::plate).orElse("plate");
        try {
            swings.heard(
                    listening.coach(),
                    listening.lesson(),
                    listening.stage(),
                    plate,
                    heard.cut().trace(),
                    heard.told());
            desk.unstored = false;
        } catch (NotFound gone) {
            desk.listening = null;
        } catch (RuntimeException failed) {
            desk.unstored = true;
            LOG.warn("A swing could not be stored: {}", Failure.without(failed));
        }
    }

    /** Whether a page still looks, or looked just now, on the day when the lesson began to listen. */
    private boolean goesOn(Desk desk, Listening listening) {
        return now() - desk.watchedAt < PAGE_RETURNS
                && today.ofCoach(listening.coach().id()).equals(listening.on());
    }

    Optional<UUID> listening(UUID coach) {
        return Optional.ofNullable(desk(coach).listening).map(Listening::lesson);
    }

    /** Pages of whoever was signed out, or may no longer see the student, hear no more. */
    @Scheduled(fixedDelay = 2_000)
    void ask() {
        for (PlatePage page : pages) {
            if (signIns.goesOn(page.session()) && students.mayTeach(page.coach(), page.student())) continue;
            pages.remove(page);
            page.close();
        }
    }

    @TransactionalEventListener
    void changed(SwingsChanged what) {
        for (PlatePage page : pages) {
            if (page.lesson().equals(what.lesson())) {
                page.tell(SseEmitter.event().name("swings").data(what.lesson().toString()));
            }
        }
    }

    /** Ten times a second what stands on the plate; and whether it is there, when that changes. */
    @Scheduled(fixedRate = 100)
    void look() {
        for (PlatePage page : pages) {
            Desk desk = desk(page.coach().id());
            PlateState state = state(desk);
            double[] loads = state.connected() ? desk.shown.loads() : new double[0];
            if (page.lesson().equals(state.listening())) desk.watchedAt = now();
            if (!state.equals(page.told())) page.tell(state);
            if (page.lesson().equals(state.listening())) now(loads).ifPresent(page::tell);
        }
    }

    private static Optional<LoadsNow> now(double[] loads) {
        double[] feet = new double[Foot.values().length];
        if (loads.length == feet.length) {
            System.arraycopy(loads, 0, feet, 0, feet.length);
        } else if (loads.length > 0) {
            for (Cell cell : Cell.values()) feet[cell.foot().ordinal()] += loads[cell.ordinal()];
        }
        double all = feet[0] + feet[1];
        if (!(all > 0)) return Optional.empty();
        double trail = 100 * feet[Foot.TRAIL.ordinal()] / all;
        if (loads.length == feet.length) return Optional.of(new LoadsNow(trail, null, null, null, null));
        return Optional.of(new LoadsNow(
                trail,
                half(loads, feet, Foot.LEAD, true),
                half(loads, feet, Foot.LEAD, false),
                half(loads, feet, Foot.TRAIL, true),
                half(loads, feet, Foot.TRAIL, false)));
    }

    private static Double half(double[] loads, double[] feet, Foot foot, boolean front) {
        double whole = feet[foot.ordinal()];
        if (!(whole > 0)) return null;
        double part = 0;
        for (Cell cell : Cell.values()) {
            if (cell.foot() == foot && (front ? cell.front() : cell.outer())) part += loads[cell.ordinal()];
        }
        return 100 * part / whole;
    }

    @Override
    public void start() {
        running = true;
    }

    /** Before the server waits for running requests, which pages would keep it from ending. */
    @Override
    public void stop() {
        running = false;
        pages.forEach(PlatePage::close);
        senders.shutdown();
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
