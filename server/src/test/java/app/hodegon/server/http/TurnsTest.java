package app.hodegon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** Reading requests come in turns, and nothing holds them up for long. */
class TurnsTest {

    private final Turns turns = new Turns(1);
    private final AtomicInteger inside = new AtomicInteger();
    private final CountDownLatch end = new CountDownLatch(1);

    /** Goes in and stays there until the end. */
    private Thread sent(String method, String address) {
        HttpServletRequest asked = mock(HttpServletRequest.class);
        when(asked.getMethod()).thenReturn(method);
        when(asked.getRequestURI()).thenReturn(address);
        Thread thread = new Thread(() -> {
            try {
                turns.doFilter(asked, mock(HttpServletResponse.class), (request, response) -> {
                    inside.incrementAndGet();
                    try {
                        end.await();
                    } catch (InterruptedException stopped) {
                        Thread.currentThread().interrupt();
                    }
                });
            } catch (Exception failed) {
                throw new IllegalStateException(failed);
            }
        });
        thread.start();
        return thread;
    }

    private void awaitInside(int many) throws InterruptedException {
        for (long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(20); inside.get() < many; ) {
            assertThat(System.nanoTime()).as(inside + " inside").isLessThan(until);
            Thread.onSpinWait();
        }
    }

    @Test
    void oneAfterTheOtherButWritersAndPagesAtOnce() throws InterruptedException {
        Thread first = sent("GET", "/api/day");
        awaitInside(1);
        Thread second = sent("GET", "/api/day");
        sent("PUT", "/api/me/practice/1");
        sent("GET", "/index.html");
        awaitInside(3);
        // The second is not among them, unless its patience ended.
        assertThat(second.isAlive()).isTrue();
        end.countDown();
        first.join();
        second.join();
        assertThat(inside.get()).isEqualTo(4);
    }

    @Test
    void whoNeverEndsHoldsNobodyUp() throws InterruptedException {
        sent("GET", "/api/day");
        awaitInside(1);
        sent("GET", "/api/day");
        awaitInside(2);
        end.countDown();
    }
}
