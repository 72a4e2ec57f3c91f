package app.hodegon.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The catalogue's network compiled for exact inference: a tree of cliques found by eliminating faults, fewest new
 * neighbours first (Lauritzen and Spiegelhalter 1988). Compiled once; every combination of evidence uses the same tree.
 */
final class CliqueTree {

    private static final CliqueTree STANDARD = new CliqueTree(Catalogue.standard());

    private final List<Clique> cliques = new ArrayList<>();
    private final Map<Fault, NoisyOr> causes = new EnumMap<>(Fault.class);
    private final Map<Fault, Integer> home = new EnumMap<>(Fault.class);
    private final double[][] prior;

    static CliqueTree standard() {
        return STANDARD;
    }

    CliqueTree(Catalogue catalogue) {
        for (Fault fault : Fault.values()) {
            causes.put(
                    fault,
                    new NoisyOr(
                            catalogue.prior(fault),
                            catalogue.links().stream()
                                    .filter(l -> l.to() == fault)
                                    .collect(Collectors.toMap(Link::from, Link::strength))));
        }
        build(moralGraph(catalogue));
        prior = new double[cliques.size()][];
        for (int i = 0; i < prior.length; i++) {
            prior[i] = new double[cliques.get(i).states()];
            Arrays.fill(prior[i], 1);
        }
        for (Fault fault : Fault.values()) {
            Set<Fault> scope = causes.get(fault).scope();
            scope.add(fault);
            int at = cliqueFor(scope);
            double[] off = causes.get(fault).offTable(cliques.get(at));
            int bit = cliques.get(at).bit(fault);
            for (int s = 0; s < off.length; s++) prior[at][s] *= (s & bit) == 0 ? off[s] : 1 - off[s];
        }
    }

    /** Faults are neighbours when they bring, or show, the same thing, or one brings the other. */
    private Map<Fault, Set<Fault>> moralGraph(Catalogue catalogue) {
        Map<Fault, Set<Fault>> neighbours = new EnumMap<>(Fault.class);
        for (Fault fault : Fault.values()) neighbours.put(fault, EnumSet.noneOf(Fault.class));
        for (Showing showing : catalogue.showings())
            join(neighbours, catalogue.shownBy(showing).keySet());
        causes.forEach((fault, cause) -> {
            Set<Fault> family = cause.scope();
            family.add(fault);
            join(neighbours, family);
        });
        return neighbours;
    }

    private static void join(Map<Fault, Set<Fault>> neighbours, Set<Fault> together) {
        for (Fault fault : together) {
            neighbours.get(fault).addAll(together);
            neighbours.get(fault).remove(fault);
        }
    }

    private void build(Map<Fault, Set<Fault>> neighbours) {
        List<Fault> order = new ArrayList<>();
        List<Set<Fault>> members = new ArrayList<>();
        while (!neighbours.isEmpty()) {
            Fault next = neighbours.keySet().stream()
                    .min((a, b) -> Integer.compare(fill(neighbours, a), fill(neighbours, b)))
                    .orElseThrow();
            Set<Fault> around = neighbours.remove(next);
            join(neighbours, around);
            around.forEach(f -> neighbours.get(f).remove(next));
            Set<Fault> clique = EnumSet.copyOf(around);
            clique.add(next);
            order.add(next);
            members.add(clique);
        }
        for (int i = 0; i < order.size(); i++) {
            int parent = -1;
            for (int j = i + 1; j < order.size() && parent < 0; j++) {
                if (members.get(i).contains(order.get(j))) parent = j;
            }
            home.put(order.get(i), i);
            cliques.add(new Clique(
                    order.get(i),
                    members.get(i),
                    parent,
                    parent < 0 ? EnumSet.noneOf(Fault.class) : members.get(parent)));
        }
    }

    /** How many new neighbours eliminating this fault would make. */
    private static int fill(Map<Fault, Set<Fault>> neighbours, Fault fault) {
        int missing = 0;
        for (Fault a : neighbours.get(fault)) {
            for (Fault b : neighbours.get(fault)) {
                if (a.compareTo(b) < 0 && !neighbours.get(a).contains(b)) missing++;
            }
        }
        return missing;
    }

    List<Clique> cliques() {
        return cliques;
    }

    /** The first clique that holds all these faults; there always is one for faults that meet in the catalogue. */
    int cliqueFor(Set<Fault> scope) {
        for (int i = 0; i < cliques.size(); i++) if (cliques.get(i).holds(scope)) return i;
        throw new IllegalArgumentException("These faults never meet: " + scope);
    }

    /** The clique in which this fault's marginal is read. */
    int home(Fault fault) {
        return home.get(fault);
    }

    /** What brings this fault about. */
    NoisyOr causesOf(Fault fault) {
        return causes.get(fault);
    }

    /** The tables before anything is seen; not to be written to. */
    double[][] prior() {
        return prior;
    }
}
