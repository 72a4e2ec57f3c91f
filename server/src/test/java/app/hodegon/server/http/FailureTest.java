package app.hodegon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.validation.constraints.NotNull;
import java.time.DateTimeException;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FailureTest {

    @Test
    void aLogHoldsNoWordsOfAFailure() {
        Exception failure = new IllegalStateException("sela@x.example", new RuntimeException("Sela Moor"));
        assertThat(Failure.without(failure))
                .contains("IllegalStateException", "because of java.lang.RuntimeException", "FailureTest")
                .doesNotContain("Sela")
                .doesNotContain("sela");
    }

    record Inner(@NotNull String said, Integer maybe) {}

    record Outer(@NotNull List<Inner> list, @NotNull Map<String, Inner> map) {}

    @Test
    void aStoredDocumentIsCheckedToItsEnds() {
        Inner sound = new Inner("x", null);
        assertThatCode(() -> Complete.check("doc", new Outer(List.of(sound), Map.of("a", sound))))
                .doesNotThrowAnyException();
        assertThatThrownBy(() -> Complete.check("doc", new Outer(List.of(sound, new Inner(null, 1)), Map.of())))
                .hasMessage("doc.list[1].said is missing");
        assertThatThrownBy(() -> Complete.check("doc", new Outer(null, Map.of())))
                .hasMessage("doc.list is missing");
        assertThatThrownBy(() -> Complete.check("doc", new Outer(List.of(), Map.of("a", new Inner(null, 1)))))
                .hasMessage("doc.map.a.said is missing");
    }

    @ParameterizedTest
    @ValueSource(strings = {"9999-12-31", "1999-12-31", "2100-01-01", "+10000-01-01", "tomorrow"})
    void daysAreThoseOfThisCentury(String day) {
        assertThatThrownBy(() -> Days.read(day)).isInstanceOf(DateTimeException.class);
        assertThat(Days.read("2026-11-26")).hasToString("2026-11-26");
    }

    @Test
    void aVersionIsANumber() {
        assertThat(Stale.version("\"7\"")).isEqualTo(7);
        assertThat(Stale.version("W/\"7\"")).isEqualTo(7);
        assertThat(Stale.version("7")).isEqualTo(7);
        for (String none : new String[] {null, "", "*", "\"x\"", "-1", "99999999999"}) {
            assertThatThrownBy(() -> Stale.version(none)).isInstanceOf(Stale.Unnamed.class);
        }
    }
}
