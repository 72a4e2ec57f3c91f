package app.hodegon.server.trace;

import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The calculator: the loads of one swing in, its moments and readings out; stores nothing. */
@RestController
class TraceController {

    /**
     * @param rate samples a second, 50 to 1,000
     * @param channels by foot or quarter, of one length; null for a lost sample
     * @param events times known from elsewhere by checkpoint, seconds from the first sample
     */
    record TraceRequest(
            @NotNull @Size(max = 10) String handedness,
            @NotNull Double rate,
            @NotNull @Size(max = 20) String unit,

            @NotNull @Size(max = 8)
            Map<@Size(max = 40) String, @NotNull @Size(max = Trace.LONGEST) List<Double>> channels,

            @Size(max = 8) Map<@Size(max = 20) String, @NotNull Double> events) {}

    @PostMapping("/api/traces/read")
    TraceView read(@Valid @RequestBody TraceRequest request) {
        Handedness hand = Invalid.in("handedness", () -> Identified.of(Handedness.class, request.handedness()));
        Trace trace = Channels.trace(hand, request.rate(), request.unit(), request.channels());
        List<Moment> known = KnownMoments.of(request.events(), trace.rate(), "events");
        return TraceView.of(Swings.read(trace, known, hand, "events"), hand);
    }
}
