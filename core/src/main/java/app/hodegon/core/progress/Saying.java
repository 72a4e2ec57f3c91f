package app.hodegon.core.progress;

/** A change in words that can be said to a student. */
public final class Saying {

    private Saying() {}

    /**
     * @param then and now: the two values as they are said, such as "6 of 10" or "38 %"
     * @param tries what more of would tell: balls or swings
     */
    public static String of(String then, String now, Comparison change, String tries) {
        String values = "From " + then + " to " + now + ": ";
        return values
                + switch (change.verdict()) {
                    case BETTER -> "better, and by more than chance.";
                    case WORSE -> "worse, and by more than chance. We look at why.";
                    case NO_CHANGE -> "no change worth having, and that is sure.";
                    case CANNOT_TELL ->
                        change.worthAsking().isPresent()
                                ? "this could be chance. %d more %s each time would tell."
                                        .formatted(change.worthAsking().getAsInt(), tries)
                                : "no change that could be told from chance.";
                };
    }

    /** The same where it went past what is wanted to the other side. */
    public static String past(String then, String now, Comparison change) {
        return "From " + then + " to " + now + ": past what is wanted, to the other side, "
                + switch (change.verdict()) {
                    case BETTER -> "yet nearer to it than before.";
                    case WORSE -> "and further from it than before. We look at why.";
                    case NO_CHANGE -> "and as far from it as before.";
                    case CANNOT_TELL -> "and whether it lies nearer to it cannot be told yet.";
                };
    }

    /** The same for how far shots lie apart. */
    public static String of(Spread spread) {
        return switch (spread.verdict()) {
            case BETTER -> "They lie closer together than before.";
            case WORSE -> "They lie further apart than before.";
            case NO_CHANGE, CANNOT_TELL -> "They scatter as before.";
        };
    }
}
