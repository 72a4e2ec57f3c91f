package app.hodegon.server.clip;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Base64;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;

/** What a picture must be that is kept. */
final class Jpeg {

    static final int LARGEST = 150 * 1024;

    /** Pixels to each side: a still of a phone's film is smaller. */
    private static final int WIDEST = 2048;

    private static final String WANTED = "A picture is a JPEG of at most 150 kB.";

    private static final float QUALITY = 0.85f;
    private static final float LEAST_QUALITY = 0.4f;

    static {
        // Pictures are small: no file is needed between.
        ImageIO.setUseCache(false);
    }

    private Jpeg() {}

    /**
     * The picture coded anew: whatever else was in the file is gone.
     *
     * @throws IllegalArgumentException for what is no JPEG, or too large
     */
    static byte[] of(String base64) {
        byte[] bytes = Base64.getDecoder().decode(base64);
        if (!is(bytes)) throw new IllegalArgumentException(WANTED);
        try {
            BufferedImage picture = read(bytes);
            for (float quality = QUALITY; quality >= LEAST_QUALITY; quality -= 0.15f) {
                byte[] anew = written(picture, quality);
                if (anew.length <= LARGEST) return anew;
            }
        } catch (IOException | RuntimeException unreadable) {
            throw new IllegalArgumentException("This picture cannot be read.");
        }
        throw new IllegalArgumentException(WANTED);
    }

    private static BufferedImage read(byte[] bytes) throws IOException {
        ImageReader reader = ImageIO.getImageReadersByFormatName("jpeg").next();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            reader.setInput(in, true, true);
            // Told by the header, before room is taken for it.
            if (reader.getWidth(0) > WIDEST || reader.getHeight(0) > WIDEST) throw new IOException("too wide");
            return reader.read(0);
        } finally {
            reader.dispose();
        }
    }

    private static byte[] written(BufferedImage picture, float quality) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(quality);
            writer.setOutput(out);
            writer.write(null, new IIOImage(picture, null, null), how);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }

    static boolean is(byte[] bytes) {
        return bytes.length > 4
                && bytes.length <= LARGEST
                && (bytes[0] & 0xff) == 0xff
                && (bytes[1] & 0xff) == 0xd8
                && (bytes[2] & 0xff) == 0xff;
    }
}
