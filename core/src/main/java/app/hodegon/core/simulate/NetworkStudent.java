package app.hodegon.core.simulate;

import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Link;
import app.hodegon.core.diagnosis.Showing;
import app.hodegon.core.diagnosis.Sign;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * A student drawn from the catalogue's own network: true faults, and what a coach would answer to each sign, slips
 * included.
 *
 * @param faults the true ones; may be none
 * @param answers what the coach would say of every sign
 */
record NetworkStudent(Set<Fault> faults, Map<Sign, Boolean> answers) {

    static NetworkStudent draw(Random random) {
        Map<Fault, Boolean> drawn = new EnumMap<>(Fault.class);
        for (Fault fault : Fault.values()) draw(fault, drawn, random);
        Set<Fault> faults = EnumSet.noneOf(Fault.class);
        drawn.forEach((fault, there) -> {
            if (there) faults.add(fault);
        });
        Map<Sign, Boolean> answers = new EnumMap<>(Sign.class);
        for (Sign sign : Sign.values()) {
            boolean shows = shows(sign, faults, random);
            answers.put(sign, random.nextDouble() < sign.chanceOfSlip() ? !shows : shows);
        }
        return new NetworkStudent(faults, answers);
    }

    /** What brings a fault is drawn before it. */
    private static boolean draw(Fault fault, Map<Fault, Boolean> drawn, Random random) {
        Boolean already = drawn.get(fault);
        if (already != null) return already;
        double off = 1 - Catalogue.standard().prior(fault);
        for (Link link : Catalogue.standard().links()) {
            if (link.to() == fault && draw(link.from(), drawn, random)) off *= 1 - link.strength();
        }
        boolean there = random.nextDouble() >= off;
        drawn.put(fault, there);
        return there;
    }

    private static boolean shows(Sign sign, Set<Fault> faults, Random random) {
        Showing showing = new Showing.OfSign(sign);
        Map<Fault, Double> by = Catalogue.standard().shownBy(showing);
        if (by.isEmpty()) return false;
        double off = 1 - Catalogue.standard().leak(showing);
        for (Map.Entry<Fault, Double> entry : by.entrySet()) {
            if (faults.contains(entry.getKey())) off *= 1 - entry.getValue();
        }
        return random.nextDouble() >= off;
    }

    /** The true movement fault that comes first in the swing; empty for a sound swing. */
    Optional<Fault> mostUpstream() {
        return faults.stream().filter(f -> !f.ofTheBody()).findFirst();
    }
}
