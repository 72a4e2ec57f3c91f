package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.progress.WhatWorked.Apart;
import app.hodegon.core.progress.WhatWorked.Share;
import app.hodegon.core.progress.WhatWorked.Tried;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class WhatWorkedTest {

    private static List<Tried> tried(String drill, int worked, int of) {
        List<Tried> all = new ArrayList<>();
        for (int i = 0; i < of; i++) all.add(new Tried(drill, i < worked));
        return all;
    }

    @SafeVarargs
    private static WhatWorked of(List<Tried>... tried) {
        List<Tried> all = new ArrayList<>();
        for (List<Tried> some : tried) all.addAll(some);
        return WhatWorked.of(all);
    }

    @Test
    void aDrillTriedTwiceStandsNearAllTheOthersAndOneTriedOftenByItself() {
        WhatWorked told = of(tried("new", 2, 2), tried("old", 20, 80));
        assertThat(told.drills().get("new").share()).isBetween(0.3, 0.5);
        assertThat(told.drills().get("old").share()).isBetween(0.2, 0.3);
        assertThat(told.drills().get("new").of()).isEqualTo(2);
    }

    @Test
    void onlyDrillsWhoseIntervalsLieApartAreSetAgainstEachOther() {
        assertThat(of(tried("one", 6, 8), tried("other", 3, 8)).apart()).isEmpty();
        assertThat(of(tried("one", 55, 60), tried("other", 12, 60)).apart()).containsExactly(new Apart("one", "other"));
        assertThat(WhatWorked.of(List.of()).drills()).isEmpty();
    }

    @Test
    void ofDrillsThatWorkAlikeHardlyAnyAreToldApartAndTheIntervalHoldsTheTruth() {
        int apart = 0;
        int held = 0;
        for (int house = 0; house < 400; house++) {
            Random random = new Random(house);
            List<Tried> all = new ArrayList<>();
            for (int i = 0; i < 60; i++) all.add(new Tried("d" + i % 3, random.nextDouble() < 0.4));
            WhatWorked told = WhatWorked.of(all);
            if (!told.apart().isEmpty()) apart++;
            for (Share share : told.drills().values()) if (share.low() <= 0.4 && share.high() >= 0.4) held++;
        }
        assertThat(apart).isLessThan(4);
        assertThat(held).isGreaterThan((int) (0.95 * 1200));
    }
}
