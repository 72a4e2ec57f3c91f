package app.hodegon.server.http;

/** The request does not fit what is stored. */
public final class Conflict extends RuntimeException {

    public Conflict(String message) {
        super(message);
    }
}
