package app.hodegon.core.progress;

import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Showing;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Reading;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;

/**
 * Which balls and measures tell of the faults that were worked on: those that show them, or one they bring about, in the
 * catalogue. A root is worked on for the sake of the ball at the end of its chain.
 *
 * @param faults worked on, and what they lead to
 */
public record Concern(Set<Fault> faults) {

    public Concern {
        faults = Set.copyOf(faults);
    }

    /** What these faults, worked on in a lesson, concern. */
    public static Concern of(Collection<Fault> faults) {
        Set<Fault> all = new HashSet<>(faults);
        for (Fault to : Fault.values()) {
            if (faults.stream().anyMatch(from -> Catalogue.standard().leadsTo(from, to))) all.add(to);
        }
        return new Concern(all);
    }

    /** Whether working on the later faults goes on with the earlier ones: with one of them, or along the same chain. */
    public static boolean goesOn(Collection<Fault> earlier, Collection<Fault> later) {
        return earlier.stream()
                .anyMatch(e -> later.stream()
                        .anyMatch(l -> e == l
                                || Catalogue.standard().leadsTo(e, l)
                                || Catalogue.standard().leadsTo(l, e)));
    }

    public boolean with(BallResult result) {
        return shows(new Showing.OfBalls(result));
    }

    /** Also where the limit is on another side than the reading: the way back is told by the same measure. */
    public boolean with(Reading reading) {
        for (Showing showing : Catalogue.standard().showings()) {
            if (showing.reads(reading.measure(), reading.at()) && shows(showing)) return true;
        }
        return false;
    }

    private boolean shows(Showing showing) {
        return Catalogue.standard().shownBy(showing).keySet().stream().anyMatch(faults::contains);
    }
}
