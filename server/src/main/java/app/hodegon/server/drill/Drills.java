package app.hodegon.server.drill;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillFile;
import app.hodegon.core.drill.DrillFile.Problem;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.InvalidParts;
import app.hodegon.server.http.NotFound;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The library as a coach has it: the drills that ship, and the coach's own. */
@Service
public class Drills {

    private final DrillRepository drills;

    Drills(DrillRepository drills) {
        this.drills = drills;
    }

    /** With the coach's own drills. */
    public DrillLibrary of(UUID coach) {
        String file = drills.file(coach);
        return file.equals("[]")
                ? DrillLibrary.standard()
                : DrillLibrary.standard()
                        .with(DrillFile.read(file, DrillLibrary.standard().ids()));
    }

    /** Ids of the coach's own drills. */
    public List<String> own(UUID coach) {
        return of(coach).all().stream()
                .map(Drill::id)
                .filter(id -> !DrillLibrary.standard().has(id))
                .toList();
    }

    /** The coach's own drills as a drill file. */
    String file(UUID coach) {
        return DrillFile.write(of(coach).all().stream()
                .filter(d -> !DrillLibrary.standard().has(d.id()))
                .toList());
    }

    /** Some of the coach's own drills as a drill file. */
    public String file(UUID coach, List<String> ids) {
        return DrillFile.write(ids.stream().map(id -> of(coach).drill(id)).toList());
    }

    /** Stores those drills of a file that the coach does not have yet. */
    @Transactional
    public void takeMissing(UUID coach, String file) {
        DrillLibrary library = of(coach);
        try {
            DrillFile.read(file, new HashSet<>(library.ids())).stream()
                    .filter(drill -> !library.has(drill.id()))
                    .forEach(drill -> drills.put(coach, drill));
        } catch (DrillFile.Broken broken) {
            throw new InvalidParts(broken.problems().stream()
                    .map(p -> new InvalidParts.Part("drills" + p.path(), p.message()))
                    .toList());
        }
    }

    /**
     * Stores every drill of a file, or none.
     *
     * @return how many
     * @throws InvalidParts if anything is wrong; it names all of it
     */
    @Transactional
    int take(UUID coach, String file) {
        Set<String> known = new HashSet<>(of(coach).ids());
        List<Drill> read;
        try {
            read = DrillFile.read(file, known);
        } catch (DrillFile.Broken broken) {
            throw new InvalidParts(broken.problems().stream().map(Drills::part).toList());
        }
        for (int i = 0; i < read.size(); i++) {
            String id = read.get(i).id();
            if (DrillLibrary.standard().has(id)) {
                throw new InvalidParts(List.of(new InvalidParts.Part(
                        "[" + i + "].id", "is a drill that ships with Hodegon: " + id + "; give yours another id.")));
            }
        }
        read.forEach(drill -> drills.put(coach, drill));
        return read.size();
    }

    private static InvalidParts.Part part(Problem problem) {
        return new InvalidParts.Part(problem.path(), problem.message());
    }

    @Transactional
    void delete(UUID coach, String id) {
        if (drills.inAPlan(coach, id)) throw new Conflict("A student's plan has this drill: edit it instead.");
        if (drills.delete(coach, id) == 0) throw new NotFound("drill of yours");
    }
}
