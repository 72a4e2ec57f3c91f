package app.hodegon.server.exchange;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.server.http.InvalidParts;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No more of a file is held than may be kept of it. */
class RecordFileTest {

    /** As large as a file may be: thirteen million objects, which would take a hundred bytes each. */
    private static final int BYTES = 40_000_000;

    @ParameterizedTest
    @ValueSource(strings = {"{\"lesson\":[{\"tries\":[{}", "{\"drills\":[{}", "{\"lesson\":[{}"})
    void nothingButObjectsIsRefusedEarly(String begins) {
        InputStream many = new InputStream() {
            private int read;

            @Override
            public int read() {
                return read == BYTES ? -1 : ",{}".charAt(read++ % 3);
            }
        };
        InputStream file =
                new SequenceInputStream(new ByteArrayInputStream(begins.getBytes(StandardCharsets.UTF_8)), many);
        RecordFile reader = new RecordFile(new RecordRepository(null, Clock.systemUTC()).sections());
        assertThatThrownBy(() -> reader.read(file))
                .isInstanceOfSatisfying(
                        InvalidParts.class,
                        refused -> org.assertj.core.api.Assertions.assertThat(
                                        refused.parts().toString())
                                .containsPattern("at most 150000 entries|more than 100000 parts"));
    }
}
