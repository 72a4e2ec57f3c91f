package app.hodegon.server.lesson;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.practice.Tried;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Reading;
import app.hodegon.server.http.Complete;
import app.hodegon.server.lesson.LessonEntry.Keyed;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * A lesson as stored.
 *
 * @param enteredBefore signs, readings and balls of the first moment, as the coach entered them
 * @param enteredAfter readings and balls of the last
 * @param keyed how far balls came at the first moment and the last, as the coach entered it
 * @param measured readings from kept swings by moment
 * @param tries stages by their names
 * @param focus what the coach chose; empty while undecided
 * @param version how often what is entered was changed
 * @param planVersion how often its plan was
 * @param saves the names of the last saves of what is entered, oldest first
 */
public record StoredLesson(
        UUID id,
        UUID studentId,
        LocalDate heldOn,
        Approach approach,
        Observations enteredBefore,
        Observations enteredAfter,
        Map<Stage, Keyed> keyed,
        Map<Stage, List<Reading>> measured,
        String note,
        Map<String, TryEntry> tries,
        List<Fault> focus,
        String focusReason,
        int version,
        int planVersion,
        List<String> saves) {

    /** As if these had been chosen to be worked on. */
    public StoredLesson workingOn(List<Fault> faults) {
        return new StoredLesson(
                id,
                studentId,
                heldOn,
                approach,
                enteredBefore,
                enteredAfter,
                keyed,
                measured,
                note,
                tries,
                faults,
                focusReason,
                version,
                planVersion,
                saves);
    }

    /** Whether balls can belong to it: a moment of every lesson, or something that was tried in this one. */
    public boolean hasStage(String name) {
        return Identified.ids(Stage.class).contains(name) || tries.containsKey(name);
    }

    /** @throws RuntimeException if what was keyed in is no ball */
    void checkKeyed() {
        keyed.forEach((stage, of) -> {
            Complete.check("keyed", of);
            KeyedBall.shots(of.balls(), of.club(), "keyed");
        });
    }

    Keyed keyed(Stage stage) {
        return keyed.getOrDefault(stage, Keyed.NOTHING);
    }

    /** All that is known of the first moment: what was measured counts before what was entered of the same. */
    public Observations before() {
        return with(enteredBefore, Stage.BEFORE);
    }

    public Observations after() {
        return with(enteredAfter, Stage.AFTER);
    }

    private Observations with(Observations entered, Stage stage) {
        List<Reading> own = measured.getOrDefault(stage, List.of());
        if (own.isEmpty()) return entered;
        Stream<Reading> others = entered.readings().stream()
                .filter(e -> own.stream()
                        .noneMatch(
                                m -> m.measure() == e.measure() && m.at().equals(e.at()) && m.source() == e.source()));
        return new Observations(
                entered.signs(), Stream.concat(own.stream(), others).toList(), entered.shots());
    }

    /** What was tried between the first balls and the last, in order. */
    public List<Tried> tried() {
        return List.copyOf(triedByName().values());
    }

    /** The same, each with the name it is kept under. */
    public Map<String, Tried> triedByName() {
        Map<String, Tried> tried = new LinkedHashMap<>();
        tries.entrySet().stream()
                .sorted(Comparator.comparing(e -> e.getValue().number()))
                .forEach(e -> tried.put(e.getKey(), e.getValue().tried("tries." + e.getKey())));
        return tried;
    }
}
