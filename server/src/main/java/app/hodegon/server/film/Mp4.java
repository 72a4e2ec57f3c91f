package app.hodegon.server.film;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;

/** What a film must be that is kept. */
public final class Mp4 {

    public static final int LARGEST = 1536 * 1024;

    private static final byte[] FILE_TYPE = "ftyp".getBytes(StandardCharsets.US_ASCII);

    private Mp4() {}

    /** @throws IllegalArgumentException for what is no MP4, or too large */
    public static byte[] of(String base64) {
        byte[] bytes = Base64.getDecoder().decode(base64);
        if (!is(bytes)) throw new IllegalArgumentException("A film is an MP4 of at most 1.5 MB.");
        return bytes;
    }

    public static boolean is(byte[] bytes) {
        return bytes.length > 16
                && bytes.length <= LARGEST
                && Arrays.equals(Arrays.copyOfRange(bytes, 4, 8), FILE_TYPE);
    }
}
