package app.hodegon.core.simulate;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.practice.RoundPlayed;
import app.hodegon.core.practice.SelfCheck;
import app.hodegon.core.practice.Tried;
import java.time.LocalDate;
import java.util.List;

/** One student's invented record, lesson after lesson. */
public record Season(Persona persona, List<Lesson> lessons) {

    /**
     * @param focus what the coach chose to work on
     * @param practice what was done of the plan before the next lesson or today
     * @param tried what was tried between the first balls and the last
     * @param rounds played before the next lesson or today
     * @param felt what the feet felt at home, before the next lesson or today
     */
    public record Lesson(
            LocalDate on,
            LocalDate nextLesson,
            Approach approach,
            Observations before,
            Observations after,
            Diagnosis diagnosis,
            List<Fault> focus,
            Plan plan,
            List<PracticeSession> practice,
            List<Tried> tried,
            List<RoundPlayed> rounds,
            List<SelfCheck> felt) {}
}
