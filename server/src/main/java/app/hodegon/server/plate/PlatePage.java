package app.hodegon.server.plate;

import app.hodegon.server.account.Account;
import app.hodegon.server.lesson.StoredLesson;
import java.io.IOException;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter.SseEventBuilder;

/**
 * A page that looks at a lesson. What it is told waits in a short row: a page that reads too slowly is dropped, asks
 * anew and loses nothing, since all that matters is stored.
 */
final class PlatePage {

    private static final int WAITING = 64;

    private final Account coach;
    private final StoredLesson lesson;
    private final String session;
    private final SseEmitter emitter;
    private final Executor senders;
    private final BlockingQueue<SseEventBuilder> row = new ArrayBlockingQueue<>(WAITING);
    private volatile Plates.PlateState told;
    private final AtomicBoolean sending = new AtomicBoolean();

    PlatePage(Account coach, StoredLesson lesson, String session, SseEmitter emitter, Executor senders) {
        this.coach = coach;
        this.lesson = lesson;
        this.session = session;
        this.emitter = emitter;
        this.senders = senders;
    }

    Account coach() {
        return coach;
    }

    UUID lesson() {
        return lesson.id();
    }

    UUID student() {
        return lesson.studentId();
    }

    /** By which it is signed in. */
    String session() {
        return session;
    }

    /** The state it was told last; null for none. */
    Plates.PlateState told() {
        return told;
    }

    void tell(Plates.PlateState state) {
        told = state;
        tell("plate", state);
    }

    void tell(Plates.LoadsNow loads) {
        // What stands on the plate just now is worth nothing later.
        if (row.isEmpty()) tell("loads", loads);
    }

    private void tell(String name, Object data) {
        tell(SseEmitter.event().name(name).data(data, MediaType.APPLICATION_JSON));
    }

    void tell(SseEventBuilder event) {
        if (!row.offer(event)) {
            close();
        } else if (sending.compareAndSet(false, true)) {
            senders.execute(this::send);
        }
    }

    private void send() {
        try {
            for (SseEventBuilder event = row.poll(); event != null; event = row.poll()) emitter.send(event);
        } catch (IOException | IllegalStateException gone) {
            emitter.completeWithError(gone);
            return;
        }
        sending.set(false);
        if (!row.isEmpty() && sending.compareAndSet(false, true)) senders.execute(this::send);
    }

    void close() {
        emitter.complete();
    }
}
