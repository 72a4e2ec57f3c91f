package app.hodegon.server.motion;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillFile;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.DrillMovement;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.golfer.Movement;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.catalogue.ReadableDrills;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.motion.Motions.Who;
import app.hodegon.server.student.Students;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Movements of the golfer, for coaches and for students. */
@RestController
@RequestMapping("/api/motions")
class MotionController {

    private static final int LONGEST_MOVEMENT = 20_000;
    private static final String RIGHT = "right";
    private static final int MOST_POSES = 80;
    private static final String POSE = "[a-z0-9-]{1,60}:[a-z]{1,20}";
    private static final int MOST_FAULTS = 18;
    private static final String FAULT = "[a-z-]{1,40}:(0(\\.\\d{1,3})?|1(\\.0{1,3})?)";
    private static final double WEAKEST = 0.01;

    private final ReadableDrills readable;
    private final Approaches approaches;
    private final Students students;

    MotionController(ReadableDrills readable, Approaches approaches, Students students) {
        this.readable = readable;
        this.approaches = approaches;
        this.students = students;
    }

    /**
     * A drill.
     *
     * @param rung its lowest where none is said
     * @param mistake the usual mistake instead
     */
    @GetMapping("/drills/{id}")
    MotionView drill(
            @AuthenticationPrincipal Account account,
            @PathVariable String id,
            @RequestParam(required = false) String rung,
            @RequestParam(required = false) String halfStep,
            @RequestParam(defaultValue = "false") boolean mistake,
            @RequestParam(defaultValue = RIGHT) String hand,
            @RequestParam(required = false) String school,
            @RequestParam(required = false) @Min(100) @Max(230) Double height) {
        DrillLibrary library = readable.of(account);
        if (!library.has(id)) throw new NotFound("drill");
        Drill drill = library.drill(id);
        Rung on = rung == null ? drill.lowest() : Invalid.in("rung", () -> Identified.of(Rung.class, rung));
        if (!drill.covers(on)) throw new Invalid("rung", "This drill has no such rung.");
        Optional<HalfStep> step = Optional.ofNullable(halfStep)
                .flatMap(s -> library.halfSteps(drill, on).stream()
                        .filter(h -> h.id().equals(s))
                        .findFirst());
        Who who = who(account, hand, school, height);
        Optional<MotionView> shown = mistake
                ? drill.movement().flatMap(m -> Motions.mistake(who, m, on, drill.speed(on)))
                : Motions.drill(who, library, drill, on, step);
        return shown.orElseThrow(() -> new NotFound("movement"));
    }

    /** A movement of a drill that is being written; no more of it is kept. */
    @PostMapping(path = "/preview", consumes = MediaType.APPLICATION_JSON_VALUE)
    MotionView preview(
            @AuthenticationPrincipal Account coach,
            @RequestBody @Size(max = LONGEST_MOVEMENT) String movement,
            @RequestParam String rung,
            @RequestParam(required = false) @Min(20) @Max(100) Integer speed,
            @RequestParam(defaultValue = "false") boolean mistake) {
        Rung on = Invalid.in("rung", () -> Identified.of(Rung.class, rung));
        DrillMovement moves = Invalid.in("movement", () -> DrillFile.movement(movement));
        Who who = who(coach, RIGHT, null, null);
        int asked = speed == null ? on.speed() : speed;
        if (!mistake) return Motions.right(who, moves, on, asked);
        return Motions.mistake(who, moves, on, asked).orElseThrow(() -> new NotFound("mistake"));
    }

    /**
     * The one picture that shows most, of many drills at once; what has no movement is left out.
     *
     * @param of drill and rung, such as disc-turn:feel; none for every drill on its lowest rung
     * @return by drill, or as asked for
     */
    @GetMapping("/poses")
    Map<String, MotionView> poses(
            @AuthenticationPrincipal Account account,
            @RequestParam(defaultValue = "") @Size(max = MOST_POSES) List<@Pattern(regexp = POSE) String> of,
            @RequestParam(defaultValue = RIGHT) String hand,
            @RequestParam(required = false) @Min(100) @Max(230) Double height) {
        DrillLibrary library = readable.of(account);
        Who who = who(account, hand, null, height);
        Map<String, MotionView> poses = new LinkedHashMap<>();
        if (of.isEmpty()) {
            for (Drill drill : library.all()) {
                Motions.pose(who, drill, drill.lowest()).ifPresent(pose -> poses.put(drill.id(), pose));
            }
        }
        for (String one : of) {
            String[] parts = one.split(":");
            Rung rung = Invalid.in("of", () -> Identified.of(Rung.class, parts[1]));
            if (!library.has(parts[0]) || !library.drill(parts[0]).covers(rung)) continue;
            Motions.pose(who, library.drill(parts[0]), rung).ifPresent(pose -> poses.put(one, pose));
        }
        return poses;
    }

    /**
     * A full swing.
     *
     * @param fault a fault and how far it is there, such as sway:0.8; none for the school's sound swing
     */
    @GetMapping("/swing")
    MotionView swing(
            @AuthenticationPrincipal Account account,
            @RequestParam(defaultValue = "") @Size(max = MOST_FAULTS) List<@Pattern(regexp = FAULT) String> fault,
            @RequestParam(defaultValue = RIGHT) String hand,
            @RequestParam(required = false) String school,
            @RequestParam(required = false) @Min(100) @Max(230) Double height) {
        Map<Fault, Double> faults = new LinkedHashMap<>();
        for (String one : fault) {
            String[] parts = one.split(":");
            faults.put(
                    Invalid.in("fault", () -> Identified.of(Fault.class, parts[0])),
                    Math.max(WEAKEST, Double.parseDouble(parts[1])));
        }
        return Motions.swing(who(account, hand, school, height), faults);
    }

    /**
     * @param school null for what the coach teaches, or the student is taught
     * @param height null for the student's own, or a usual one
     */
    private Who who(Account account, String hand, String school, Double height) {
        return new Who(
                Invalid.in("hand", () -> Identified.of(Handedness.class, hand)),
                school == null
                        ? approaches.of(account).school()
                        : Invalid.in("school", () -> Identified.of(PressureSchool.class, school)),
                height != null ? height : own(account).orElse(Movement.FOR_HEIGHT));
    }

    private Optional<Double> own(Account account) {
        return account.role() == Account.Role.STUDENT ? students.self(account).height() : Optional.empty();
    }
}
