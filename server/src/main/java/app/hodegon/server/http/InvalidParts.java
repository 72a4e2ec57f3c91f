package app.hodegon.server.http;

import java.util.List;

/** A file of which several parts are wrong; answered 422 with all of them. */
public final class InvalidParts extends RuntimeException {

    /**
     * @param field where in the file
     */
    public record Part(String field, String message) {}

    private final transient List<Part> parts;

    public InvalidParts(List<Part> parts) {
        super(parts.get(0).field() + " " + parts.get(0).message()
                + (parts.size() == 1 ? "" : " And " + (parts.size() - 1) + " more."));
        this.parts = List.copyOf(parts);
    }

    public List<Part> parts() {
        return parts;
    }
}
