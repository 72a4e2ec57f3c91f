package app.hodegon.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** Secrets for one use: long and random, and stored only as their hash. */
public final class Tokens {

    private static final int BYTES = 24;
    private static final SecureRandom RANDOM = new SecureRandom();

    /** Letters and digits that are not taken for each other on paper. */
    private static final String LEGIBLE = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private Tokens() {}

    /** 192 random bits, fit for an address. */
    public static String make() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** Ten letters and digits, 49 bits, to be read off paper and typed: {@code K7QMP-3XWRT}. */
    static String makeLegible() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < 10; i++) {
            if (i == 5) code.append('-');
            code.append(LEGIBLE.charAt(RANDOM.nextInt(LEGIBLE.length())));
        }
        return code.toString();
    }

    /** What is stored of a secret (SHA-256): whoever reads the database cannot use it. */
    public static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
