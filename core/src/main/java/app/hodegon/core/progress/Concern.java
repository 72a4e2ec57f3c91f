package app.hodegon.core.progress;

import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Showing;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import java.util.Collection;
import java.util.Set;

/** Which balls and measures tell of the faults that were worked on, by the catalogue. */
public record Concern(Set<Fault> faults) {

    public Concern {
        faults = Set.copyOf(faults);
    }

    public static Concern of(Collection<Fault> faults) {
        return new Concern(Set.copyOf(faults));
    }

    public boolean with(BallResult result) {
        return shows(new Showing.OfBalls(result));
    }

    /** Also where the limit is on another side than the reading: the way back is told by the same measure. */
    public boolean with(Reading reading) {
        if (reading.measure() == Measure.TRAIL_SHARE) return true;
        for (Showing showing : Catalogue.standard().showings()) {
            if (showing instanceof Showing.OfLimit of
                    && of.limit().measure() == reading.measure()
                    && of.limit().at().equals(reading.at())
                    && shows(showing)) return true;
        }
        return false;
    }

    private boolean shows(Showing showing) {
        return Catalogue.standard().shownBy(showing).keySet().stream().anyMatch(faults::contains);
    }
}
