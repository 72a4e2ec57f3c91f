package app.hodegon.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.server.account.Guesses.Trier;
import app.hodegon.server.account.Guesses.Wait;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class GuessesTest {

    private static final Trier GUESSER = new Trier("owner@x.example", "10.0.0.9", null);
    private static final Trier OWNER_AT_HOME = new Trier("owner@x.example", "10.0.0.1", "known");

    private Instant now = Instant.parse("2026-11-26T12:00:00Z");
    private final Guesses guesses = new Guesses(new Clock() {
        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    });

    /** Tries until told to wait. */
    private long tries(Trier trier) {
        long tries = 0;
        while (true) {
            try {
                guesses.admit(trier);
            } catch (Wait wait) {
                return tries;
            }
            guesses.failed(trier);
            tries++;
        }
    }

    private long waits(Trier trier) {
        try {
            guesses.admit(trier);
            return 0;
        } catch (Wait wait) {
            return wait.seconds();
        }
    }

    @Test
    void aFewSlipsAreFreeAndThenWaitsGrow() {
        assertThat(tries(GUESSER)).isEqualTo(5);
        long before = 0;
        for (int i = 0; i < 4; i++) {
            long wait = waits(GUESSER);
            assertThat(wait).isGreaterThan(before);
            before = wait;
            now = now.plusSeconds(wait);
            assertThat(tries(GUESSER)).isEqualTo(1);
        }
    }

    @Test
    void othersGuessesDoNotLockTheOwnerOut() {
        for (int i = 0; i < 200; i++) {
            guesses.failed(GUESSER);
        }
        assertThatCode(() -> guesses.admit(OWNER_AT_HOME)).doesNotThrowAnyException();
        Trier elsewhere = new Trier("owner@x.example", "10.0.0.77", null);
        assertThat(waits(elsewhere)).as("on a new browser a minute at most").isBetween(1L, 60L);
    }

    @Test
    void manyAccountsFromOneAddressAreSlowedDownToo() {
        for (int i = 0; i < 25; i++) guesses.failed(new Trier("somebody" + i + "@x.example", "10.0.0.9", null));
        assertThat(waits(new Trier("next@x.example", "10.0.0.9", null))).isPositive();
        assertThat(waits(new Trier("next@x.example", "10.0.0.10", null))).isZero();
    }

    @Test
    void theRightPasswordEndsTheAccountsWait() {
        for (int i = 0; i < 4; i++) guesses.failed(GUESSER);
        guesses.succeeded(GUESSER);
        assertThat(tries(GUESSER)).isEqualTo(5);
    }

    @Test
    void theWaitIsToldInWords() {
        tries(GUESSER);
        assertThatThrownBy(() -> guesses.admit(GUESSER)).hasMessageContaining("Try again in 2 seconds");
        for (int i = 0; i < 2000; i++) guesses.failed(GUESSER);
        assertThat(guesses.refusedWithinADay()).isEqualTo(2005);
        now = now.plus(Duration.ofDays(2));
        assertThat(guesses.refusedWithinADay()).isZero();
        assertThat(tries(GUESSER)).as("half a day later all is forgotten").isEqualTo(5);
    }
}
