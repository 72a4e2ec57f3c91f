package app.hodegon.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/**
 * Slows down who guesses passwords: after a few wrong ones each further try has to wait longer. Counted per browser
 * where it signed in to the account before, else per account and per address, so that others' guesses lock nobody out
 * of the own browser (docs/decisions/0015).
 */
@Component
public class Guesses {

    private static final Duration FIRST_WAIT = Duration.ofSeconds(2);
    private static final Duration FORGOTTEN_AFTER = Duration.ofHours(12);
    private static final int MOST = 20_000;
    private static final Duration DAY = Duration.ofDays(1);

    /** What wrong passwords are counted by. */
    private enum By {
        BROWSER(5, Duration.ofMinutes(15)),
        /** Its wait stays short: the owner may be on a new browser while somebody guesses. */
        ACCOUNT(5, Duration.ofMinutes(1)),
        ADDRESS(20, Duration.ofMinutes(15));

        private final int free;
        private final Duration longest;

        By(int free, Duration longest) {
            this.free = free;
            this.longest = longest;
        }

        /** How long to wait after so many wrong ones. */
        private Duration wait(int count) {
            if (count < free) return Duration.ZERO;
            Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(count - free, 12));
            return wait.compareTo(longest) > 0 ? longest : wait;
        }
    }

    private record Key(By by, String name) {}

    private final Clock clock;
    private final Map<Key, Failures> failures = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Failures> eldest) {
            return size() > MOST;
        }
    };

    /** Wrong passwords of the last day, by the minute. */
    private final NavigableMap<Instant, Integer> refused = new TreeMap<>();

    Guesses(Clock clock) {
        this.clock = clock;
    }

    private record Failures(int count, Instant last, Instant until) {}

    /** Somebody who tries: what the waiting is counted by. */
    record Trier(String email, String address, String knownBrowser) {

        private List<Key> keys() {
            return knownBrowser != null
                    ? List.of(new Key(By.BROWSER, knownBrowser))
                    : List.of(new Key(By.ACCOUNT, email), new Key(By.ADDRESS, address));
        }
    }

    /** Too many wrong passwords. */
    public static final class Wait extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final Duration wait;

        Wait(Duration wait) {
            super("Too many wrong passwords. Try again in " + said(wait) + ".");
            this.wait = wait;
        }

        private static String said(Duration wait) {
            long seconds = Math.max(1, wait.toSeconds());
            return seconds < 90 ? seconds + (seconds == 1 ? " second" : " seconds") : (seconds + 59) / 60 + " minutes";
        }

        /** What has to pass, at least a second. */
        public long seconds() {
            return Math.max(1, wait.toSeconds());
        }
    }

    /**
     * @throws Wait if this one has to wait before another try
     */
    synchronized void admit(Trier trier) {
        Instant now = clock.instant();
        for (Key key : trier.keys()) {
            Failures before = failures.get(key);
            if (before != null && before.until().isAfter(now)) {
                throw new Wait(Duration.between(now, before.until()).plusMillis(999));
            }
        }
    }

    synchronized void failed(Trier trier) {
        Instant now = clock.instant();
        for (Key key : trier.keys()) failures.put(key, next(key.by(), failures.get(key), now));
        refused.merge(now.truncatedTo(ChronoUnit.MINUTES), 1, Integer::sum);
        refused.headMap(now.minus(DAY)).clear();
    }

    private static Failures next(By by, Failures before, Instant now) {
        boolean first = before == null || before.last().plus(FORGOTTEN_AFTER).isBefore(now);
        int count = first ? 1 : before.count() + 1;
        return new Failures(count, now, now.plus(by.wait(count)));
    }

    /** The right password: what was wrong before is forgotten, but not the address's other tries. */
    synchronized void succeeded(Trier trier) {
        trier.keys().stream().filter(k -> k.by() != By.ADDRESS).forEach(failures::remove);
    }

    /** Wrong passwords within a day. */
    public synchronized int refusedWithinADay() {
        return refused.tailMap(clock.instant().minus(DAY)).values().stream()
                .mapToInt(Integer::intValue)
                .sum();
    }
}
