package app.hodegon.server.plan;

import app.hodegon.core.plan.Offers.Offer;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanRequest;
import jakarta.validation.constraints.NotNull;
import java.util.List;

/**
 * What could be given or given up for a better climb.
 *
 * @param reps reps as the plan stands
 * @param gates expected gates passed as it stands
 */
public record OffersView(
        @NotNull int reps, @NotNull double gates, @NotNull List<OfferView> offers) {

    /**
     * @param terms what to draft the plan with to take the offer
     */
    public record OfferView(
            @NotNull String code,
            @NotNull String text,
            @NotNull int reps,
            @NotNull double gates,
            @NotNull PlanTerms terms) {}

    static final OffersView NONE = new OffersView(0, 0, List.of());

    static OffersView of(PlanTerms terms, PlanRequest asked, Plan plan, double gates, List<Offer> offers) {
        return new OffersView(
                plan.totals().reps(),
                gates,
                offers.stream()
                        .map(o -> new OfferView(
                                o.code(),
                                o.text(),
                                o.plan().totals().reps(),
                                o.gates(),
                                terms.with(asked, o.request())))
                        .toList());
    }
}
