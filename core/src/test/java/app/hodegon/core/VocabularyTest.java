package app.hodegon.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.approach.SchoolComparison;
import app.hodegon.core.diagnosis.Effort;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.diagnosis.HipLine;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.practice.Attention;
import app.hodegon.core.practice.Standing;
import app.hodegon.core.progress.Distance;
import app.hodegon.core.progress.Outcome;
import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Quantity;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Units;
import app.hodegon.core.swing.UnknownIdException;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Identifiers are what the API, files and the store rest on: each is there once and leads back to what it names. */
class VocabularyTest {

    static Stream<Class<? extends Enum<?>>> identified() {
        return Stream.of(
                Fault.class,
                Sign.class,
                Grade.class,
                Effort.class,
                HipLine.Flight.class,
                HipLine.Press.class,
                Choice.class,
                PressureSchool.class,
                SchoolComparison.Kind.class,
                Attention.Kind.class,
                Standing.class,
                Distance.Where.class,
                Outcome.class,
                Proposal.Kind.class,
                Verdict.class,
                ShotFigure.class,
                Checkpoint.class,
                Handedness.class,
                Measure.class,
                Quantity.class,
                Source.class,
                Units.class);
    }

    @ParameterizedTest
    @MethodSource("identified")
    <E extends Enum<E> & Identified> void anIdentifierLeadsBack(Class<E> type) {
        List<String> ids =
                Arrays.stream(type.getEnumConstants()).map(Identified::id).toList();
        assertThat(ids).doesNotHaveDuplicates().allMatch(id -> id.matches("[a-z][a-z0-9]*([- ][a-z0-9]+)*"));
        for (E one : type.getEnumConstants())
            assertThat(Identified.of(type, one.id())).isSameAs(one);
        assertThatThrownBy(() -> Identified.of(type, "no-such-id"))
                .isInstanceOfSatisfying(
                        UnknownIdException.class,
                        unknown -> assertThat(unknown.accepted()).containsExactlyElementsOf(ids));
    }

    private static <E extends Enum<E>> void said(Class<E> type, Function<E, String> words) {
        List<String> all = Arrays.stream(type.getEnumConstants()).map(words).toList();
        assertThat(all).as(type.getSimpleName()).doesNotHaveDuplicates().noneMatch(String::isBlank);
    }

    @Test
    void everythingThatIsShownHasWordsOfItsOwn() {
        said(Fault.class, Fault::label);
        said(Fault.class, Fault::what);
        said(Fault.class, Fault::trap);
        said(Sign.class, Sign::label);
        said(Measure.class, Measure::label);
        said(Quantity.class, Quantity::label);
        said(Source.class, Source::label);
        said(Checkpoint.class, Checkpoint::label);
        said(Checkpoint.class, Checkpoint::brief);
        said(BallResult.class, r -> r.kind() + " " + r.label());
        said(PressureSchool.class, PressureSchool::label);
        said(PressureSchool.class, PressureSchool::why);
        said(Choice.class, c -> c + " " + c.label());
        for (Choice choice : Choice.values()) {
            assertThat(choice.label()).isNotBlank();
            assertThat(choice.why()).isNotBlank();
        }
        said(Proposal.Kind.class, Proposal.Kind::label);
        said(Proposal.Kind.class, Proposal.Kind::means);
        said(ShotFigure.class, ShotFigure::label);
        for (ShotFigure figure : ShotFigure.values()) assertThat(figure.unit()).isIn("m", "m/s");
        said(HipLine.Flight.class, HipLine.Flight::label);
        for (HipLine.Flight flight : HipLine.Flight.values())
            assertThat(flight.low()).isLessThan(flight.high());
        for (Sign sign : Sign.values()) {
            assertThat(sign.at()).isNotNull();
            assertThat(sign.how()).isNotBlank();
        }
    }
}
