package app.hodegon.server.http;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;

/** A save of something that was changed meanwhile; answered 412 with how it is now, so that both can be kept. */
public final class Stale extends RuntimeException {

    private static final long serialVersionUID = 1;
    private static final Pattern TAG = Pattern.compile("(?:W/)?\"?(\\d{1,9})\"?");

    private final transient Object current;

    public Stale(Object current) {
        super("This was changed meanwhile, in another window or by somebody else. Nothing of yours was stored yet.");
        this.current = current;
    }

    Object current() {
        return current;
    }

    /** No version was named. */
    static final class Unnamed extends RuntimeException {
        private static final long serialVersionUID = 1;

        Unnamed() {
            super("Say which version you saw: " + HttpHeaders.IF_MATCH + " with the version that was read.");
        }
    }

    /**
     * The version that a save is based on.
     *
     * @param ifMatch the request's header; null where there is none
     */
    public static int version(String ifMatch) {
        if (ifMatch == null) throw new Unnamed();
        Matcher tag = TAG.matcher(ifMatch.strip());
        if (!tag.matches()) throw new Unnamed();
        return Integer.parseInt(tag.group(1));
    }
}
