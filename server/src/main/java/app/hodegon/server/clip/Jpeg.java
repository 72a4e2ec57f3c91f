package app.hodegon.server.clip;

import java.util.Base64;

/** What a picture must be that is kept. */
final class Jpeg {

    static final int LARGEST = 150 * 1024;

    private Jpeg() {}

    /** @throws IllegalArgumentException for what is no JPEG, or too large */
    static byte[] of(String base64) {
        byte[] bytes = Base64.getDecoder().decode(base64);
        if (!is(bytes)) throw new IllegalArgumentException("A picture is a JPEG of at most 150 kB.");
        return bytes;
    }

    static boolean is(byte[] bytes) {
        return bytes.length > 4
                && bytes.length <= LARGEST
                && (bytes[0] & 0xff) == 0xff
                && (bytes[1] & 0xff) == 0xd8
                && (bytes[2] & 0xff) == 0xff;
    }
}
