package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The compiled network says of every combination of faults what the catalogue says. */
class CliqueTreeTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    private final CliqueTree tree = new CliqueTree(CATALOGUE);

    private static Set<Fault> drawn(Random random) {
        Set<Fault> there = EnumSet.noneOf(Fault.class);
        for (Fault fault : Fault.values()) if (random.nextInt(3) == 0) there.add(fault);
        return there;
    }

    /** Straight from the catalogue: each fault by itself or through those that bring it. */
    private static double chance(Set<Fault> there) {
        double chance = 1;
        for (Fault fault : Fault.values()) {
            double off = 1 - CATALOGUE.prior(fault);
            for (Link link : CATALOGUE.links()) {
                if (link.to() == fault && there.contains(link.from())) off *= 1 - link.strength();
            }
            chance *= there.contains(fault) ? 1 - off : off;
        }
        return chance;
    }

    private static int state(Clique clique, Set<Fault> there) {
        int state = 0;
        for (Fault fault : there) if (clique.holds(Set.of(fault))) state |= clique.bit(fault);
        return state;
    }

    @Test
    void itsTablesMultiplyToTheCataloguesChances() {
        Random random = new Random(11);
        for (int i = 0; i < 300; i++) {
            Set<Fault> there = drawn(random);
            double product = 1;
            for (int c = 0; c < tree.cliques().size(); c++) {
                product *= tree.prior()[c][state(tree.cliques().get(c), there)];
            }
            assertThat(product).isCloseTo(chance(there), within(1e-15));
        }
    }

    @Test
    void itIsSmallAndEveryNeighbourMeetsSomewhere() {
        assertThat(tree.cliques()).hasSize(Fault.values().length);
        assertThat(tree.cliques().stream().mapToInt(Clique::states).max().orElseThrow())
                .isLessThanOrEqualTo(128);
        for (Showing showing : CATALOGUE.showings()) {
            Set<Fault> causes = CATALOGUE.shownBy(showing).keySet();
            assertThat(tree.cliques().get(tree.cliqueFor(causes)).holds(causes)).isTrue();
        }
        assertThatThrownBy(() -> tree.cliqueFor(EnumSet.allOf(Fault.class)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void whatACliqueTellsItsParentIsWhatTheyShare() {
        for (Clique clique : tree.cliques()) {
            if (clique.parent() < 0) {
                assertThat(clique.separatorStates()).isEqualTo(1);
                continue;
            }
            Clique parent = tree.cliques().get(clique.parent());
            assertThat(clique.separatorStates()).isEqualTo(clique.states() / 2);
            Random random = new Random(5);
            for (int i = 0; i < 50; i++) {
                Set<Fault> there = drawn(random);
                assertThat(clique.toSeparator()[state(clique, there)])
                        .as("the same combination seen from both sides")
                        .isEqualTo(clique.parentToSeparator()[state(parent, there)]);
            }
            int bit = clique.bit(clique.eliminated());
            for (int s = 0; s < clique.states(); s++) {
                assertThat(clique.toSeparator()[s]).isEqualTo(clique.toSeparator()[s ^ bit]);
            }
        }
    }

    @Test
    void anOrIsOffOnlyWhenEveryCauseFails() {
        Clique clique = new Clique(Fault.SWAY, EnumSet.of(Fault.SWAY, Fault.NO_LOAD), -1, EnumSet.noneOf(Fault.class));
        Map<Fault, Double> causes = new LinkedHashMap<>();
        causes.put(Fault.SWAY, 0.8);
        causes.put(Fault.NO_LOAD, 0.5);
        double[] off = new NoisyOr(0.1, causes).offTable(clique);
        int sway = clique.bit(Fault.SWAY);
        int noLoad = clique.bit(Fault.NO_LOAD);
        assertThat(off[0]).isCloseTo(0.9, within(1e-12));
        assertThat(off[sway]).isCloseTo(0.9 * 0.2, within(1e-12));
        assertThat(off[noLoad]).isCloseTo(0.9 * 0.5, within(1e-12));
        assertThat(off[sway | noLoad]).isCloseTo(0.9 * 0.2 * 0.5, within(1e-12));
        assertThat(new NoisyOr(0.1, Map.of()).scope()).isEmpty();
        assertThat(new NoisyOr(0.1, causes).scope()).containsExactlyInAnyOrder(Fault.SWAY, Fault.NO_LOAD);
    }

    @Test
    void withNothingSeenALinkIsAsStrongAsItsCauseIsLikely() {
        Posterior.Calibrated believed = Posterior.after(List.of()).calibrated();
        assertThat(believed.total()).isCloseTo(1, within(1e-9));
        for (Link link : Catalogue.standard().links()) {
            assertThat(believed.broughtAbout(link))
                    .as(link.toString())
                    .isCloseTo(believed.probability(link.from()) * link.strength(), within(1e-12));
        }
    }

    @Test
    void aFaultKnownToBeThereIsCertainAndMakesWhatItBringsMoreLikely() {
        Posterior nothing = Posterior.after(List.of());
        for (Link link : Catalogue.standard().links()) {
            Posterior.Calibrated given = nothing.given(link.from()).calibrated();
            assertThat(given.probability(link.from())).isCloseTo(1, within(1e-12));
            assertThat(given.probability(link.to()))
                    .isGreaterThan(nothing.calibrated().probability(link.to()));
            assertThat(given.total()).isCloseTo(nothing.calibrated().probability(link.from()), within(1e-12));
        }
    }

    @Test
    void aCatalogueWrittenAnewIsTheStandardOne() {
        assertThat(CATALOGUE.links())
                .isNotEmpty()
                .isEqualTo(Catalogue.standard().links());
        List<Showing> standard = new ArrayList<>();
        Catalogue.standard().showings().forEach(standard::add);
        List<Showing> written = new ArrayList<>();
        CATALOGUE.showings().forEach(written::add);
        assertThat(written).isEqualTo(standard).hasSizeGreaterThan(60);
        for (Showing showing : written) {
            assertThat(CATALOGUE.shownBy(showing))
                    .isNotEmpty()
                    .isEqualTo(Catalogue.standard().shownBy(showing));
            assertThat(CATALOGUE.leak(showing))
                    .isPositive()
                    .isEqualTo(Catalogue.standard().leak(showing));
        }
        for (Fault fault : Fault.values()) {
            assertThat(CATALOGUE.prior(fault)).isBetween(0.001, 0.5);
        }
    }
}
