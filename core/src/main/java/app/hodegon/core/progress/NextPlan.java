package app.hodegon.core.progress;

import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnosis.Finding;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Refit;
import app.hodegon.core.progress.Proposal.Kind;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a proposal, once taken, makes of the next plan. */
public final class NextPlan {

    private NextPlan() {}

    /** Whether taking it leads to a plan; else the coach looks or measures first. */
    public static boolean follows(Kind kind) {
        return kind != Kind.LOOK_AGAIN && kind != Kind.LOOK_FURTHER && kind != Kind.MEASURE;
    }

    /**
     * The faults of the next plan.
     *
     * @param worked what the last lesson chose, one or two
     * @param now today's diagnosis
     * @param ended whether the way up of the last plan is ended; else its first fault is kept up beside the next one
     */
    public static List<Fault> focus(Kind kind, List<Fault> worked, Diagnosis now, boolean ended) {
        return switch (kind) {
            case ADVANCE ->
                next(worked, now).map(next -> before(next, worked, ended)).orElse(worked);
            case TODAY -> now.focus().isEmpty() ? worked : now.focus();
            case SMALLER_PLAN -> worked.subList(0, 1);
            default -> worked;
        };
    }

    private static List<Fault> before(Fault next, List<Fault> worked, boolean ended) {
        return ended ? List.of(next) : List.of(next, worked.get(0));
    }

    /** Whether there is another fault to go on to than the first of these. */
    public static boolean hasNext(List<Fault> worked, Diagnosis now) {
        return next(worked, now).isPresent();
    }

    /**
     * What speaks for today's first fault where the first of what was worked on is unlikely and another likely, or no
     * longer likely and brought about by it; in sentences, empty without such a conflict.
     */
    public static List<String> instead(List<Fault> worked, Diagnosis now) {
        if (now.focus().isEmpty()
                || worked.isEmpty()
                || worked.contains(now.focus().get(0))) return List.of();
        Finding before = now.of(worked.get(0));
        Finding today = now.of(now.focus().get(0));
        boolean doubted = before.grade() == Grade.UNLIKELY
                || before.grade() != Grade.LIKELY && Catalogue.standard().leadsTo(today.fault(), before.fault());
        if (!doubted || today.grade() != Grade.LIKELY) return List.of();
        return List.of(
                side("Worked on", before, before.evidenceAgainst()), side("Likely today", today, today.evidenceFor()));
    }

    private static String side(String which, Finding finding, List<app.hodegon.core.diagnosis.Evidence> evidence) {
        String because = evidence.stream()
                .limit(2)
                .map(app.hodegon.core.diagnosis.Evidence::text)
                .collect(Collectors.joining("; "));
        return "%s: %s, %d %%%s."
                .formatted(
                        which,
                        finding.fault().label().toLowerCase(),
                        Math.round(100 * finding.probability()),
                        because.isEmpty() ? "" : " (" + because + ")");
    }

    /** The second fault while it is not ruled out, else the next likely one down the chain, else what today shows. */
    private static Optional<Fault> next(List<Fault> worked, Diagnosis now) {
        return Stream.of(
                        worked.subList(1, worked.size()).stream()
                                .filter(f -> graded(now, f, Grade.LIKELY, Grade.POSSIBLE)),
                        downTheChain(worked, now).stream(),
                        now.focus().stream().filter(f -> !f.equals(worked.get(0))))
                .flatMap(s -> s)
                .findFirst();
    }

    /** The most upstream likely one among what the faults worked on bring about. */
    private static Optional<Fault> downTheChain(List<Fault> worked, Diagnosis now) {
        Catalogue catalogue = Catalogue.standard();
        List<Fault> brought = now.faults().stream()
                .map(Finding::fault)
                .filter(to -> !worked.contains(to) && worked.stream().anyMatch(from -> catalogue.leadsTo(from, to)))
                .filter(to -> graded(now, to, Grade.LIKELY))
                .toList();
        return brought.stream()
                .filter(f -> brought.stream().noneMatch(other -> catalogue.leadsTo(other, f)))
                .findFirst();
    }

    private static boolean graded(Diagnosis now, Fault fault, Grade... grades) {
        return List.of(grades).contains(now.of(fault).grade());
    }

    /**
     * The request as this proposal would have it.
     *
     * @param shareDone reps done of those planned since the last lesson; empty where nothing was planned
     */
    public static PlanRequest fit(Kind kind, PlanRequest request, DrillLibrary library, Optional<Double> shareDone) {
        return switch (kind) {
            case SMALLER_PLAN -> Refit.smaller(request, shareDone.orElse(0.0));
            case SAME_RUNG -> Refit.denser(request, library);
            case OTHER_FEEDBACK -> Refit.otherFeedback(request, library);
            case EASIER_FORM -> Refit.easier(request, library);
            case GO_ON_AND_MEASURE -> Refit.measured(request);
            case DONE -> Refit.keeping(request);
            default -> request;
        };
    }
}
