package app.hodegon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Repeatability;
import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CatalogueTest {

    private static final Catalogue CATALOGUE = Catalogue.standard();

    @ParameterizedTest
    @EnumSource(Fault.class)
    void everyFaultShowsASignOfItsOwnMoreOftenThanNot(Fault fault) {
        assertThat(CATALOGUE.prior(fault)).isBetween(0.01, 0.2);
        boolean shown = false;
        for (Showing showing : CATALOGUE.showings()) {
            shown |= showing instanceof Showing.OfSign
                    && CATALOGUE.shownBy(showing).getOrDefault(fault, 0.0) > 0.6;
        }
        assertThat(shown).isTrue();
        for (String text : Set.of(fault.what(), fault.lookAlike(), fault.trap())) {
            assertThat(Handedness.LEFT.say(text)).isNotBlank().doesNotContain("{");
            assertThat(text).doesNotContainPattern("\\b(left|right)\\b");
        }
    }

    @Test
    void everySignButTwoIsShownByAFault() {
        Set<Sign> without = EnumSet.noneOf(Sign.class);
        for (Sign sign : Sign.values()) {
            if (CATALOGUE.shownBy(new Showing.OfSign(sign)).isEmpty()) without.add(sign);
        }
        assertThat(without).containsExactly(Sign.LEAD_HEAVY_AT_ADDRESS);
    }

    @Test
    void causesComeBeforeWhatTheyBring() {
        for (Link link : CATALOGUE.links()) {
            assertThat(CATALOGUE.leadsTo(link.from(), link.to())).isTrue();
            assertThat(CATALOGUE.leadsTo(link.to(), link.from()))
                    .as("no circle: " + link)
                    .isFalse();
            assertThat(link.from().stage()).isLessThanOrEqualTo(link.to().stage());
        }
        assertThat(CATALOGUE.leadsTo(Fault.STIFF_TRAIL_ANKLE, Fault.OVER_THE_TOP))
                .isTrue();
        assertThat(CATALOGUE.leadsTo(Fault.SWAY, Fault.TOE_FALL)).isFalse();
    }

    @Test
    void limitsAreOfMeasuresThatCanBeRead() {
        for (Showing showing : CATALOGUE.showings()) {
            if (!(showing instanceof Showing.OfLimit of)) continue;
            Limit limit = of.limit();
            assertThat(limit.measure().atCheckpoint()).isEqualTo(limit.at().isPresent());
            assertThat(Repeatability.sources(limit.measure().quantity())).isNotEmpty();
        }
    }

    @Test
    void theLateTopIsMeasuredAgainstTheSchool() {
        Limit top = Limit.aboveCorridor(Checkpoint.TOP);
        assertThat(top.value(PressureSchool.EARLY_RETURN)).isEqualTo(60);
        assertThat(top.value(PressureSchool.FULL_LOAD)).isEqualTo(85);
        assertThat(Limit.belowCorridor(Checkpoint.ADDRESS).value(PressureSchool.CENTRED))
                .isEqualTo(35);
    }

    @Test
    void theCompiledTreeIsSmall() {
        assertThat(CliqueTree.standard().cliques()).hasSize(18).allMatch(c -> c.states() <= 256);
    }
}
