package app.hodegon.server.diagnosis;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnosis.NextLook;
import app.hodegon.core.diagnosis.Evidence;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Look;
import app.hodegon.core.diagnosis.Unexplained;
import app.hodegon.core.swing.Checkpoint;
import com.fasterxml.jackson.annotation.JsonProperty;
import jakarta.validation.constraints.NotNull;
import java.util.List;

/**
 * A diagnosis on the wire.
 *
 * @param unexplained balls that no likely fault explains; none in what was stored before they were named
 */
public record DiagnosisView(
        @NotNull List<FaultView> faults,
        @NotNull List<ChainView> chain,
        @NotNull List<String> focus,
        @NotNull List<NextLookView> nextLooks,
        @NotNull List<NextReadingView> nextReadings,
        @NotNull List<UnexplainedView> unexplained,
        @NotNull List<String> notes) {

    public DiagnosisView {
        if (unexplained == null) unexplained = List.of();
    }

    /** Balls alike, and what weighs most against each fault that could do it. */
    public record UnexplainedView(
            @NotNull String kind,
            @NotNull String result,
            @NotNull int hits,
            @NotNull int of,
            @NotNull List<AgainstView> against) {

        static UnexplainedView of(Unexplained balls) {
            return new UnexplainedView(
                    balls.result().kind().id(),
                    balls.result().id(),
                    balls.hits(),
                    balls.of(),
                    balls.against().stream()
                            .map(a -> new AgainstView(
                                    a.fault().id(),
                                    a.probability(),
                                    a.answer().map(Evidence::text).orElse(null)))
                            .toList());
        }
    }

    /**
     * @param text the given answer that weighs most against the fault; absent where nothing does
     */
    public record AgainstView(
            @NotNull String fault, @NotNull double probability, String text) {}

    public record FaultView(
            @NotNull String id,
            @NotNull double probability,
            @NotNull String grade,
            @NotNull @JsonProperty("for") List<EvidenceView> speaksFor,
            @NotNull List<EvidenceView> against) {}

    /**
     * @param why why a reading tells of the fault; absent for what speaks for itself
     */
    public record EvidenceView(
            @NotNull String evidence,
            @NotNull double weight,
            @NotNull String text,
            String why) {}

    public record ChainView(
            @NotNull String from,
            @NotNull String to,
            @NotNull double strength) {}

    /**
     * @param gain expected fall in entropy, bits
     * @param worth gain per effort, by which looks and readings together are ordered
     */
    public record NextLookView(
            @NotNull String sign,
            @NotNull double gain,
            @NotNull double worth,
            @NotNull String effort,
            @NotNull String how) {

        static NextLookView of(Look.AtSign look, NextLook next) {
            return new NextLookView(
                    look.sign().id(), next.gain(), next.worth(), look.effort().id(), next.how());
        }
    }

    /** A measure worth taking, with its best source. */
    public record NextReadingView(
            @NotNull String id,
            String at,
            @NotNull String source,
            @NotNull double gain,
            @NotNull double worth,
            @NotNull String effort,
            @NotNull String how) {

        static NextReadingView of(Look.AtMeasure look, NextLook next) {
            return new NextReadingView(
                    look.measure().id(),
                    look.at().map(Checkpoint::id).orElse(null),
                    look.source().id(),
                    next.gain(),
                    next.worth(),
                    look.effort().id(),
                    next.how());
        }
    }

    public static DiagnosisView of(Diagnosis diagnosis) {
        return new DiagnosisView(
                diagnosis.faults().stream()
                        .map(f -> new FaultView(
                                f.fault().id(),
                                f.probability(),
                                f.grade().id(),
                                evidence(f.evidenceFor()),
                                evidence(f.evidenceAgainst())))
                        .toList(),
                diagnosis.chain().stream()
                        .map(c -> new ChainView(c.from().id(), c.to().id(), c.strength()))
                        .toList(),
                diagnosis.focus().stream().map(Fault::id).toList(),
                diagnosis.nextLooks().stream()
                        .filter(l -> l.look() instanceof Look.AtSign)
                        .map(l -> NextLookView.of((Look.AtSign) l.look(), l))
                        .toList(),
                diagnosis.nextLooks().stream()
                        .filter(l -> l.look() instanceof Look.AtMeasure)
                        .map(l -> NextReadingView.of((Look.AtMeasure) l.look(), l))
                        .toList(),
                diagnosis.unexplained().stream().map(UnexplainedView::of).toList(),
                diagnosis.notes());
    }

    private static List<EvidenceView> evidence(List<Evidence> evidence) {
        return evidence.stream()
                .map(e -> new EvidenceView(e.id(), e.weight(), e.text(), e.why().orElse(null)))
                .toList();
    }
}
