package app.hodegon.server.clip;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** A picture is kept as a picture and nothing else. */
class JpegTest {

    private static final String PAGE = "<script>alert(1)</script>";

    private static byte[] still() throws Exception {
        try (InputStream in = JpegTest.class.getResourceAsStream("/demo-films/kept/extension-after/top.jpg")) {
            return in.readAllBytes();
        }
    }

    private static byte[] kept(byte[] bytes) {
        return Jpeg.of(Base64.getEncoder().encodeToString(bytes));
    }

    @Test
    void whatElseWasInTheFileIsGone() throws Exception {
        byte[] still = still();
        ByteArrayOutputStream with = new ByteArrayOutputStream();
        with.write(still, 0, 2);
        // A comment, and something behind the end.
        with.write(new byte[] {(byte) 0xff, (byte) 0xfe, 0, (byte) (PAGE.length() + 2)});
        with.write(PAGE.getBytes(StandardCharsets.US_ASCII));
        with.write(still, 2, still.length - 2);
        with.write(PAGE.getBytes(StandardCharsets.US_ASCII));
        byte[] kept = kept(with.toByteArray());
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("<script>");
        assertThat(ImageIO.read(new ByteArrayInputStream(kept)).getWidth())
                .isEqualTo(ImageIO.read(new ByteArrayInputStream(still)).getWidth());
        assertThat(kept.length).isLessThan(2 * still.length);
    }

    @Test
    void whatIsNoPictureIsRefused() throws Exception {
        byte[] still = still();
        byte[] noise = new byte[5000];
        Arrays.fill(noise, (byte) 7);
        noise[0] = (byte) 0xff;
        noise[1] = (byte) 0xd8;
        noise[2] = (byte) 0xff;
        assertThatThrownBy(() -> kept(noise)).hasMessageContaining("cannot be read");
        assertThatThrownBy(() -> kept(Arrays.copyOf(still, 200))).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> kept("GIF89a".getBytes(StandardCharsets.US_ASCII)))
                .hasMessageContaining("JPEG");
        assertThatThrownBy(() -> kept(new byte[Jpeg.LARGEST + 1])).hasMessageContaining("150 kB");
    }
}
