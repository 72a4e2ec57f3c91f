package app.hodegon.server.http;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class BodyTest {

    private static final int MB = 1024 * 1024;

    private static byte[] bytes(int length) {
        byte[] bytes = new byte[length];
        for (int i = 0; i < length; i++) bytes[i] = (byte) (i * 31);
        return bytes;
    }

    private static byte[] through(Body body, byte[] whole) throws IOException {
        for (int at = 0; at < whole.length; at += 1000) {
            int length = Math.min(1000, whole.length - at);
            byte[] part = new byte[length];
            System.arraycopy(whole, at, part, 0, length);
            body.add(part, length);
        }
        try (InputStream in = body.read()) {
            return in.readAllBytes();
        }
    }

    @Test
    void comesOutAsItWentInSmallAndLarge() throws IOException {
        Spool spool = new Spool();
        for (int length : new int[] {0, 1, 1000, 256 * 1024, 256 * 1024 + 1, 3 * MB}) {
            try (Body body = Body.expected(6 * MB, length, spool)) {
                assertThat(through(body, bytes(length))).isEqualTo(bytes(length));
            }
        }
    }

    @Test
    void moreThanItsKindMayHoldIsRefused() throws IOException {
        try (Body body = Body.expected(1500, -1, new Spool())) {
            body.add(bytes(1000), 1000);
            assertThatThrownBy(() -> body.add(bytes(1000), 1000)).isInstanceOf(Body.TooLarge.class);
        }
    }

    @Test
    void ofManyLargeOnesTheFirstGetInAndRoomComesBack() throws IOException {
        Spool spool = new Spool();
        List<Body> in = new ArrayList<>();
        assertThatThrownBy(() -> {
                    while (true) in.add(Body.expected(40 * MB, 39 * MB, spool));
                })
                .isInstanceOf(Spool.Full.class);
        assertThat(in).hasSize(6);
        assertThatThrownBy(() -> Body.expected(40 * MB, -1, spool))
                .as("one of unknown length may be as large as any")
                .isInstanceOf(Spool.Full.class);
        Body.expected(256 * 1024, 200, spool).close();
        in.forEach(Body::close);
        Body.expected(40 * MB, 39 * MB, spool).close();
    }
}
