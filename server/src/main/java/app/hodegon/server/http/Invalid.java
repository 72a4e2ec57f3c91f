package app.hodegon.server.http;

import java.util.function.Supplier;

/** A request that is well formed but says something that cannot be; answered 422 with the field's name. */
public final class Invalid extends RuntimeException {

    private final String field;

    public Invalid(String field, String message) {
        super(message);
        this.field = field;
    }

    public String field() {
        return field;
    }

    /** Reads a field, giving what the core refuses the field's name. */
    public static <T> T in(String field, Supplier<T> read) {
        try {
            return read.get();
        } catch (IllegalArgumentException refused) {
            throw new Invalid(field, refused.getMessage());
        }
    }
}
