package app.hodegon.server.http;

import java.util.HashSet;
import java.util.Set;

/** A failure as it may stand in a log: where it happened, without its words, which may hold names. */
public final class Failure {

    private static final int FRAMES = 25;

    private Failure() {}

    /** Kinds and places of a failure and its causes. */
    public static String without(Throwable failure) {
        StringBuilder text = new StringBuilder();
        Set<Throwable> seen = new HashSet<>();
        for (Throwable cause = failure; cause != null && seen.add(cause); cause = cause.getCause()) {
            text.append(cause == failure ? "" : "because of ")
                    .append(cause.getClass().getName())
                    .append('\n');
            StackTraceElement[] frames = cause.getStackTrace();
            for (int i = 0; i < Math.min(FRAMES, frames.length); i++) {
                text.append("    at ").append(frames[i]).append('\n');
            }
        }
        return text.toString();
    }
}
