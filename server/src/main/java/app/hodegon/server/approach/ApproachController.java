package app.hodegon.server.approach;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Quantity;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.server.account.Account;
import app.hodegon.server.approach.Approaches.OwnSem;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.Stale;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A coach's approach and repeatabilities, and a student's exceptions. */
@RestController
@RequestMapping("/api")
class ApproachController {

    private final Approaches approaches;
    private final Students students;

    ApproachController(Approaches approaches, Students students) {
        this.approaches = approaches;
        this.students = students;
    }

    /**
     * @param sem standard error of one reading, in the quantity's unit
     */
    record SemEntry(
            @NotNull @Size(max = 20) String quantity,
            @NotNull @Size(max = 10) String source,
            @NotNull Double sem) {}

    /**
     * @param repeatability the coach's own values; what is left out keeps the assumed one
     */
    record ApproachEntry(
            @NotNull @Size(max = 20) Map<String, String> answers,
            @NotNull @Valid @Size(max = 50) List<@NotNull SemEntry> repeatability) {}

    /**
     * @param sem in use
     * @param assumed the product's working assumption
     */
    record SemView(
            @NotNull String quantity,
            @NotNull String label,
            @NotNull String unit,
            @NotNull String source,
            @NotNull double sem,
            @NotNull double assumed) {}

    record ApproachView(
            @NotNull Map<String, String> answers,
            @NotNull List<SemView> repeatability,
            @NotNull int version) {}

    /**
     * @param coach the coach's answers
     * @param exceptions where this student is taught otherwise
     */
    record StudentApproachView(
            @NotNull Map<String, String> coach,
            @NotNull Map<String, String> exceptions,
            @NotNull int version) {}

    record Exceptions(@NotNull @Size(max = 20) Map<String, String> exceptions) {}

    @GetMapping("/approach")
    ApproachView get(@AuthenticationPrincipal Account coach) {
        return new ApproachView(
                approaches.ofCoach(coach.id()).ids(),
                sems(approaches.repeatability(coach.id())),
                approaches.version(coach.id()));
    }

    @PutMapping("/approach")
    ApproachView set(
            @AuthenticationPrincipal Account coach,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody ApproachEntry entry) {
        Approach approach = Invalid.in("answers", () -> Approach.of(entry.answers()));
        List<OwnSem> own = new ArrayList<>();
        for (int i = 0; i < entry.repeatability().size(); i++) {
            String field = "repeatability[" + i + "]";
            OwnSem sem = own(field, entry.repeatability().get(i));
            Invalid.in(field, () -> Repeatability.ASSUMED.with(sem.quantity(), sem.source(), sem.sem()));
            own.removeIf(o -> o.quantity() == sem.quantity() && o.source() == sem.source());
            own.add(sem);
        }
        if (!approaches.set(coach.id(), Stale.version(seen), approach, own)) throw new Stale(get(coach));
        return get(coach);
    }

    private static OwnSem own(String field, SemEntry entry) {
        return new OwnSem(
                Invalid.in(field + ".quantity", () -> Identified.of(Quantity.class, entry.quantity())),
                Invalid.in(field + ".source", () -> Identified.of(Source.class, entry.source())),
                entry.sem());
    }

    @GetMapping("/students/{id}/approach")
    StudentApproachView ofStudent(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        StoredStudent student = students.ofCoach(coach, id);
        return new StudentApproachView(
                approaches.ofCoach(student.coachId()).ids(), approaches.exceptions(id), student.version());
    }

    @PutMapping("/students/{id}/approach")
    StudentApproachView setOfStudent(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody Exceptions entry) {
        Invalid.in("exceptions", () -> Approach.of(entry.exceptions()));
        if (!approaches.setExceptions(coach, id, Stale.version(seen), entry.exceptions())) {
            throw new Stale(ofStudent(coach, id));
        }
        return ofStudent(coach, id);
    }

    private static List<SemView> sems(Repeatability repeatability) {
        List<SemView> sems = new ArrayList<>();
        for (Quantity quantity : Quantity.values()) {
            for (Source source : Repeatability.sources(quantity)) {
                sems.add(new SemView(
                        quantity.id(),
                        quantity.label(),
                        quantity.unit(),
                        source.id(),
                        repeatability.sem(quantity, source).orElseThrow(),
                        Repeatability.ASSUMED.sem(quantity, source).orElseThrow()));
            }
        }
        return sems;
    }
}
