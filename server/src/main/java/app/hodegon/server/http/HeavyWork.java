package app.hodegon.server.http;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/** Work on whole files, which takes memory: few at a time, some wait, the rest hear when to come back. */
@Component
public class HeavyWork {

    private static final int AT_ONCE = 2;
    private static final int WAITING = 6;
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private final Semaphore places = new Semaphore(AT_ONCE, true);
    private final AtomicInteger waiting = new AtomicInteger();

    /** All places are taken. */
    public static final class Busy extends RuntimeException {
        private static final long serialVersionUID = 1;

        Busy() {
            super("Several files are being read just now: try again in a few seconds.");
        }
    }

    /**
     * @throws Busy if there is no place within ten seconds, or too many wait for one
     */
    public <T> T done(Supplier<T> work) {
        if (waiting.incrementAndGet() > WAITING + AT_ONCE) {
            waiting.decrementAndGet();
            throw new Busy();
        }
        boolean placed = false;
        try {
            placed = places.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
            if (!placed) throw new Busy();
            return work.get();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new Busy();
        } finally {
            if (placed) places.release();
            waiting.decrementAndGet();
        }
    }
}
