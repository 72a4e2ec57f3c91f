package app.hodegon.server.diagnosis;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Evidence;
import app.hodegon.core.diagnosis.Fault;
import com.fasterxml.jackson.annotation.JsonProperty;
import jakarta.validation.constraints.NotNull;
import java.util.List;

/** A diagnosis on the wire. */
public record DiagnosisView(
        @NotNull List<FaultView> faults,
        @NotNull List<ChainView> chain,
        @NotNull List<String> focus,
        @NotNull List<NextLookView> nextLooks,
        @NotNull List<String> notes) {

    public record FaultView(
            @NotNull String id,
            @NotNull double probability,
            @NotNull String grade,
            @NotNull @JsonProperty("for") List<EvidenceView> speaksFor,
            @NotNull List<EvidenceView> against) {}

    public record EvidenceView(
            @NotNull String evidence,
            @NotNull double weight,
            @NotNull String text) {}

    public record ChainView(
            @NotNull String from,
            @NotNull String to,
            @NotNull double strength) {}

    public record NextLookView(
            @NotNull String sign,
            @NotNull double gain,
            @NotNull String how) {}

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
                        .map(l -> new NextLookView(l.sign().id(), l.gain(), l.how()))
                        .toList(),
                diagnosis.notes());
    }

    private static List<EvidenceView> evidence(List<Evidence> evidence) {
        return evidence.stream()
                .map(e -> new EvidenceView(e.id(), e.weight(), e.text()))
                .toList();
    }
}
