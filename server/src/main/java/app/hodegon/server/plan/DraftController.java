package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Student;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.diagnosis.DiagnosisController;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.student.StudentEntry;
import app.hodegon.server.student.StudentEntry.SlotEntry;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The calculator: a student, an approach and a diagnosis in, a plan out; stores nothing. */
@RestController
class DraftController {

    private final Planner planner = new Planner(DrillLibrary.standard());

    record DraftRequest(
            @NotNull @Valid DraftStudent student,
            @Size(max = 20) Map<String, String> approach,
            @NotEmpty @Size(max = 2) List<@NotNull @Valid FocusEntry> focus,
            @Size(max = 30) List<String> likely,
            @NotNull LocalDate from,
            @NotNull LocalDate nextLesson,
            Boolean oneThing) {}

    record DraftStudent(
            @NotNull @Size(max = 20) String handedness,
            @NotNull @Size(max = 20) String level,
            @NotNull @Size(max = 20) String ageBand,
            @Size(max = 10) List<String> flags,
            @Size(max = 40) List<String> kit,
            @Size(max = 7) Map<String, @Valid SlotEntry> week,
            @Size(max = 20) String shoes,
            @Size(max = 200) List<@NotNull @Valid DoneEntry> doneBefore,
            @Size(max = 10) Map<String, @NotNull @Size(max = 20) String> grounds) {}

    record DoneEntry(
            @NotNull @Size(max = 60) String drill,
            @NotNull @Size(max = 20) String rung,
            @NotNull Boolean passed) {}

    record FocusEntry(
            @NotNull @Size(max = 40) String fault,
            @Size(max = 20) String grade) {}

    @PostMapping("/api/plans/draft")
    PlanView draft(@Valid @RequestBody DraftRequest request) {
        PlanRequest planRequest = Invalid.in("focus", () -> request(request));
        return PlanView.of(planner.plan(planRequest));
    }

    private static PlanRequest request(DraftRequest request) {
        List<PlanRequest.Focus> focus = new ArrayList<>();
        for (int i = 0; i < request.focus().size(); i++) {
            FocusEntry entry = request.focus().get(i);
            String field = "focus[" + i + "]";
            focus.add(new PlanRequest.Focus(
                    Invalid.in(field + ".fault", () -> Identified.of(Fault.class, entry.fault())),
                    entry.grade() == null
                            ? Grade.LIKELY
                            : Invalid.in(field + ".grade", () -> Identified.of(Grade.class, entry.grade()))));
        }
        Set<Fault> likely = StudentEntry.set("likely", Fault.class, request.likely());
        Student student = student(request.student());
        if (!request.nextLesson().isAfter(request.from())) {
            throw new Invalid("nextLesson", "nextLesson must be after from.");
        }
        if (request.nextLesson().isAfter(request.from().plusDays(PlanRequest.LONGEST))) {
            throw new Invalid("nextLesson", "nextLesson must be within " + PlanRequest.LONGEST + " days of from.");
        }
        return new PlanRequest(
                        student,
                        DiagnosisController.approach(request.approach()),
                        focus,
                        likely,
                        request.from(),
                        request.nextLesson())
                .with(
                        Boolean.TRUE.equals(request.oneThing())
                                ? PlanRequest.Settings.USUAL.ofOneThing()
                                : PlanRequest.Settings.USUAL);
    }

    private static Student student(DraftStudent entry) {
        List<Student.Done> done = new ArrayList<>();
        List<DoneEntry> before = entry.doneBefore() == null ? List.of() : entry.doneBefore();
        for (int i = 0; i < before.size(); i++) {
            DoneEntry each = before.get(i);
            String field = "student.doneBefore[" + i + "]";
            Invalid.in(field + ".drill", () -> DrillLibrary.standard().drill(each.drill()));
            done.add(new Student.Done(
                    each.drill(),
                    Invalid.in(field + ".rung", () -> Identified.of(Rung.class, each.rung())),
                    each.passed()));
        }
        return new Student(
                Invalid.in("student.handedness", () -> Identified.of(Handedness.class, entry.handedness())),
                Invalid.in("student.level", () -> Identified.of(Level.class, entry.level())),
                Invalid.in("student.ageBand", () -> Identified.of(AgeBand.class, entry.ageBand())),
                StudentEntry.set("student.flags", Joint.class, entry.flags()),
                StudentEntry.set("student.kit", Equipment.class, entry.kit()),
                StudentEntry.week(entry.week()),
                entry.shoes() == null
                        ? Shoes.SOFT
                        : Invalid.in("student.shoes", () -> Identified.of(Shoes.class, entry.shoes())),
                done,
                StudentEntry.grounds(entry.grounds()));
    }
}
