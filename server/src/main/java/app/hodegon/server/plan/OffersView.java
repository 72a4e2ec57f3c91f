package app.hodegon.server.plan;

import app.hodegon.core.plan.Offers.Offer;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner.Expectation;
import jakarta.validation.constraints.NotNull;
import java.util.List;

/**
 * What could be given or given up for a better climb.
 *
 * @param reps reps as the plan stands
 * @param gates expected gates passed as it stands
 * @param chances of each gate as it stands
 */
public record OffersView(
        @NotNull int reps,
        @NotNull double gates,
        @NotNull List<ChanceView> chances,
        @NotNull List<OfferView> offers) {

    /** The chance of being through a gate of the route by the next lesson, 0 to 1. */
    public record ChanceView(
            @NotNull String fault,
            @NotNull String rung,
            @NotNull double chance) {

        private static List<ChanceView> of(Expectation expected) {
            return expected.chances().entrySet().stream()
                    .map(e -> new ChanceView(
                            e.getKey().fault().id(), e.getKey().rung().id(), e.getValue()))
                    .toList();
        }
    }

    /**
     * @param chances of each gate then
     * @param terms what to draft the plan with to take the offer
     */
    public record OfferView(
            @NotNull String code,
            @NotNull String text,
            @NotNull int reps,
            @NotNull double gates,
            @NotNull List<ChanceView> chances,
            @NotNull PlanTerms terms) {}

    static final OffersView NONE = new OffersView(0, 0, List.of(), List.of());

    static OffersView of(PlanTerms terms, PlanRequest asked, Plan plan, Expectation expected, List<Offer> offers) {
        return new OffersView(
                plan.totals().reps(),
                expected.gates(),
                ChanceView.of(expected),
                offers.stream()
                        .map(o -> new OfferView(
                                o.code(),
                                o.text(),
                                o.plan().totals().reps(),
                                o.expected().gates(),
                                ChanceView.of(o.expected()),
                                terms.with(asked, o.request())))
                        .toList());
    }
}
