package app.hodegon.core.motion;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** There is more than one swing where one was expected. */
public final class SeveralSwingsException extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    /** @param waysDown seconds from the first sample */
    public SeveralSwingsException(List<Double> waysDown) {
        super(waysDown.size()
                + " swings are in this, coming down at "
                + waysDown.stream()
                        .map(t -> String.format(Locale.ROOT, "%.1f s", t))
                        .collect(Collectors.joining(", "))
                + ": send one swing at a time.");
    }
}
