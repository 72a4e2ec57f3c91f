package app.hodegon.core.progress;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.approach.PressureSchool.Corridor;
import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Limit;
import app.hodegon.core.diagnosis.Showing;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;

/** Which way would be an improvement; empty where neither is. */
public final class Aim {

    private Aim() {}

    public static Optional<Better> of(BallResult result) {
        return switch (result) {
            case STRAIGHT, SOLID -> Optional.of(Better.HIGHER);
            case DRAW, FADE, NO_DIVOT, THIN_DIVOT -> Optional.empty();
            default -> Optional.of(Better.LOWER);
        };
    }

    /**
     * For the trail share, towards the school's corridor as seen from the first reading; for other measures, away from
     * the side on which the catalogue's faults lie, or, where they lie on both, from the one that was crossed.
     */
    public static Optional<Better> of(Reading first, PressureSchool school) {
        if (first.measure() == Measure.TRAIL_SHARE) {
            Corridor corridor = school.corridor(first.at().orElseThrow());
            if (first.value() > corridor.high()) return Optional.of(Better.LOWER);
            return first.value() < corridor.low() ? Optional.of(Better.HIGHER) : Optional.empty();
        }
        Set<Limit.Side> faulty = new HashSet<>();
        Set<Limit.Side> crossed = new HashSet<>();
        for (Showing showing : Catalogue.standard().showings()) {
            // A limit that sound swings cross too only rules another fault out: crossing it is no aim.
            if (!(showing instanceof Showing.OfLimit of)
                    || of.limit().measure() != first.measure()
                    || !of.limit().at().equals(first.at())
                    || !Catalogue.standard().rulesOutChance(of.limit())) continue;
            Limit limit = of.limit();
            faulty.add(limit.side());
            double beyond = first.value() - limit.value(school);
            if (limit.side() == Limit.Side.ABOVE ? beyond > 0 : beyond < 0) crossed.add(limit.side());
        }
        // Where faults lie on both sides, it is the one this reading has come to that it should go back from.
        Set<Limit.Side> away = faulty.size() == 1 ? faulty : crossed;
        return away.stream().findFirst().map(side -> side == Limit.Side.ABOVE ? Better.LOWER : Better.HIGHER);
    }
}
