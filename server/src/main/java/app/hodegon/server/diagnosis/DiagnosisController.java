package app.hodegon.server.diagnosis;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Diagnostician;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.diagnosis.PastLesson;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Wording;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.AccountUnits;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.http.Invalid;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The calculator: what was seen in, the diagnosis out; stores nothing. */
@RestController
public class DiagnosisController {

    private final Approaches approaches;
    private final AccountUnits units;

    DiagnosisController(Approaches approaches, AccountUnits units) {
        this.approaches = approaches;
        this.units = units;
    }

    /** Everything may be left out. */
    record DiagnosisRequest(
            @Size(max = 20) String handedness,
            @Size(max = 20) Map<String, String> approach,
            @Size(max = 100) Map<String, String> signs,
            @Valid @Size(max = 200) List<ReadingEntry> measures,
            @Valid ShotsEntry shots,
            LocalDate on,
            @Valid @Size(max = 100) List<@NotNull @Valid PastLessonEntry> history) {}

    @PostMapping("/api/diagnosis")
    DiagnosisView diagnose(@AuthenticationPrincipal Account coach, @Valid @RequestBody DiagnosisRequest request) {
        Handedness hand = request.handedness() == null
                ? Handedness.RIGHT
                : Invalid.in("handedness", () -> Identified.of(Handedness.class, request.handedness()));
        Approach approach = approach(request.approach());
        Observations seen = seen("", request.signs(), request.measures(), request.shots());
        Diagnostician diagnostician = new Diagnostician(
                approach.school(), approaches.repeatability(coach.id()), new Wording(hand, units.of(coach.id())));
        List<PastLesson> history = history(request);
        if (history.isEmpty()) return DiagnosisView.of(diagnostician.diagnose(seen));
        if (request.on() == null) throw new Invalid("on", "With a history, say on which day this lesson is.");
        return DiagnosisView.of(Invalid.in("history", () -> diagnostician.diagnose(seen, history, request.on())));
    }

    private static List<PastLesson> history(DiagnosisRequest request) {
        List<PastLesson> history = new ArrayList<>();
        if (request.history() == null) return history;
        for (int i = 0; i < request.history().size(); i++) {
            history.add(request.history().get(i).lesson("history[" + i + "]"));
        }
        return history;
    }

    static Observations seen(String field, Map<String, String> signs, List<ReadingEntry> measures, ShotsEntry shots) {
        return new Observations(
                signs(signs),
                readings(field + "measures", measures),
                (shots == null ? ShotsEntry.NONE : shots).tally(field + "shots"));
    }

    /** Reads an approach; answers left out take their defaults. */
    public static Approach approach(Map<String, String> answers) {
        return answers == null ? Approach.DEFAULT : Invalid.in("approach", () -> Approach.of(answers));
    }

    /** Reads signs answered yes or no. */
    public static Map<Sign, Boolean> signs(Map<String, String> answers) {
        Map<Sign, Boolean> signs = new EnumMap<>(Sign.class);
        if (answers == null) return signs;
        answers.forEach((id, answer) -> {
            Sign sign = Invalid.in("signs", () -> Identified.of(Sign.class, id));
            if (!"yes".equals(answer) && !"no".equals(answer)) {
                throw new Invalid("signs." + sign.id(), "Answer yes or no; leave a sign out that was not looked at.");
            }
            signs.put(sign, answer.equals("yes"));
        });
        return signs;
    }

    /** Reads measures. */
    public static List<Reading> readings(String field, List<ReadingEntry> entries) {
        List<Reading> readings = new ArrayList<>();
        if (entries == null) return readings;
        for (int i = 0; i < entries.size(); i++) {
            String path = field + "[" + i + "]";
            if (entries.get(i) == null) throw new Invalid(path, "must not be null.");
            readings.add(entries.get(i).reading(path));
        }
        return readings;
    }
}
