package app.hodegon.server.http;

/** What was asked for does not exist, or is not this account's to see: the two are not told apart. */
public final class NotFound extends RuntimeException {

    public NotFound(String what) {
        super("There is no such " + what + ".");
    }
}
