package app.hodegon.server.progress;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.progress.WhatWorked;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.NotFound;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** What worked for whom, by fault. */
@RestController
class WhatWorkedController {

    private final WhatWorkedService worked;

    WhatWorkedController(WhatWorkedService worked) {
        this.worked = worked;
    }

    /** @param house whether it tells of all students of the house */
    record WhatWorkedView(
            @NotNull boolean house,
            @NotNull KindOfSuccess gates,
            @NotNull KindOfSuccess better) {}

    /**
     * @param drills in the order first tried
     * @param apart pairs of which the first surely worked more often
     */
    record KindOfSuccess(
            @NotNull List<ShareView> drills, @NotNull List<List<String>> apart) {

        static KindOfSuccess of(WhatWorked told) {
            return new KindOfSuccess(
                    told.drills().entrySet().stream()
                            .map(e -> ShareView.of(e.getKey(), e.getValue()))
                            .toList(),
                    told.apart().stream().map(a -> List.of(a.more(), a.less())).toList());
        }
    }

    /** How often with a drill; the share with its 95 % interval is drawn towards that of all drills together. */
    record ShareView(
            @NotNull String drill,
            @NotNull int worked,
            @NotNull int of,
            @NotNull double share,
            @NotNull double low,
            @NotNull double high) {

        static ShareView of(String drill, WhatWorked.Share share) {
            return new ShareView(drill, share.worked(), share.of(), share.share(), share.low(), share.high());
        }
    }

    /** @param id of the fault */
    @GetMapping("/api/faults/{id}/worked")
    WhatWorkedView worked(@AuthenticationPrincipal Account coach, @PathVariable String id) {
        WhatWorkedService.Told told = worked.of(coach, fault(id));
        return new WhatWorkedView(
                told.whose().house(), KindOfSuccess.of(told.gates()), KindOfSuccess.of(told.better()));
    }

    private static Fault fault(String id) {
        for (Fault fault : Fault.values()) if (fault.id().equals(id)) return fault;
        throw new NotFound("fault");
    }
}
