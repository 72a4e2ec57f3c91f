package app.hodegon.core.diagnosis;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * A node of the {@link CliqueTree}: some faults whose combinations are kept in one table, bit n of a table's index
 * standing for the n-th fault.
 */
final class Clique {

    private final List<Fault> faults;
    private final Fault eliminated;
    private final int parent;
    private final int[] toSeparator;
    private final int[] parentToSeparator;
    private final int separatorStates;

    /**
     * @param eliminated the fault that leaves here on the way to the root
     * @param parent the clique that takes the message, −1 for a root
     */
    Clique(Fault eliminated, Set<Fault> members, int parent, Set<Fault> parentMembers) {
        this.faults = List.copyOf(sorted(members));
        this.eliminated = eliminated;
        this.parent = parent;
        Set<Fault> separator = EnumSet.copyOf(members);
        separator.remove(eliminated);
        List<Fault> between = sorted(separator);
        this.separatorStates = 1 << between.size();
        this.toSeparator = projection(faults, between);
        this.parentToSeparator = projection(sorted(parentMembers), between);
    }

    private static List<Fault> sorted(Set<Fault> faults) {
        List<Fault> sorted = new ArrayList<>(faults);
        Collections.sort(sorted);
        return sorted;
    }

    /** For each combination of {@code from}, the index of the same combination among {@code onto}. */
    private static int[] projection(List<Fault> from, List<Fault> onto) {
        int[] index = new int[1 << from.size()];
        for (int i = 0; i < onto.size(); i++) {
            int bit = 1 << from.indexOf(onto.get(i));
            if (!from.contains(onto.get(i))) continue;
            for (int s = 0; s < index.length; s++) if ((s & bit) != 0) index[s] |= 1 << i;
        }
        return index;
    }

    int states() {
        return toSeparator.length;
    }

    int separatorStates() {
        return separatorStates;
    }

    int parent() {
        return parent;
    }

    Fault eliminated() {
        return eliminated;
    }

    boolean holds(Set<Fault> scope) {
        return faults.containsAll(scope);
    }

    int bit(Fault fault) {
        return 1 << faults.indexOf(fault);
    }

    /** Index in the separator's table of each combination here. */
    int[] toSeparator() {
        return toSeparator;
    }

    /** Index in the separator's table of each combination of the parent. */
    int[] parentToSeparator() {
        return parentToSeparator;
    }
}
