package app.hodegon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class HeavyWorkTest {

    @Test
    void fewAtOnceSomeWaitTheRestHearSo() throws Exception {
        HeavyWork heavy = new HeavyWork();
        ExecutorService many = Executors.newFixedThreadPool(32);
        CountDownLatch open = new CountDownLatch(1);
        AtomicInteger atOnce = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        List<Future<Boolean>> done = new ArrayList<>();
        AtomicInteger refused = new AtomicInteger();
        CountDownLatch told = new CountDownLatch(24);
        for (int i = 0; i < 32; i++) {
            done.add(many.submit(() -> {
                try {
                    return heavy.done(() -> {
                        most.accumulateAndGet(atOnce.incrementAndGet(), Math::max);
                        await(open);
                        atOnce.decrementAndGet();
                        return true;
                    });
                } catch (HeavyWork.Busy busy) {
                    refused.incrementAndGet();
                    told.countDown();
                    return false;
                }
            }));
        }
        told.await();
        open.countDown();
        int served = 0;
        for (Future<Boolean> one : done) if (one.get()) served++;
        many.shutdown();
        assertThat(most.get()).isLessThanOrEqualTo(2);
        assertThat(served).isEqualTo(8);
        assertThat(refused.get()).isEqualTo(24);
    }

    private static void await(CountDownLatch open) {
        try {
            open.await();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
