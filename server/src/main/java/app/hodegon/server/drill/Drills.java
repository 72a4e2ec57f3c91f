package app.hodegon.server.drill;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillFile;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.InvalidParts;
import app.hodegon.server.http.NotFound;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The library as a coach has it: the drills that ship, and the coach's own. */
@Service
public class Drills {

    private static final int LONGEST = 20_000;

    private final DrillRepository drills;
    private final Accounts accounts;

    Drills(DrillRepository drills, Accounts accounts) {
        this.drills = drills;
        this.accounts = accounts;
    }

    /**
     * A drill of the coach's that cannot be read.
     *
     * @param why what is wrong with it
     */
    public record SetAside(String id, String why) {}

    /** A coach's own drills, and those that could not be read. */
    private record Own(List<Drill> drills, List<SetAside> setAside) {}

    /**
     * Each drill is read by itself: one that cannot be read takes no other with it, and one that came after a drill
     * that is gone comes after nothing.
     */
    private Own own(Map<String, String> documents) {
        DrillLibrary standard = DrillLibrary.standard();
        Set<String> known = new HashSet<>(standard.ids());
        known.addAll(documents.keySet());
        List<Drill> read = new ArrayList<>();
        List<SetAside> setAside = new ArrayList<>();
        documents.forEach((id, document) -> {
            try {
                read.addAll(DrillFile.read(document, after -> true));
            } catch (DrillFile.Broken | IllegalArgumentException broken) {
                setAside.add(new SetAside(id, broken.getMessage()));
                known.remove(id);
            }
        });
        return new Own(read.stream().map(d -> d.afterOnly(known)).toList(), setAside);
    }

    /** With the coach's own drills. */
    public DrillLibrary of(UUID coach) {
        Map<String, String> documents = drills.documents(coach);
        if (documents.isEmpty()) return DrillLibrary.standard();
        Own own = own(documents);
        DrillLibrary library = DrillLibrary.standard().with(own.drills());
        return own.setAside().isEmpty()
                ? library
                : library.settingAside(own.setAside().stream()
                        .collect(Collectors.toMap(SetAside::id, s -> "A drill that cannot be read (" + s.id() + ")")));
    }

    /** Ids of the coach's own drills. */
    public List<String> own(UUID coach) {
        return own(drills.documents(coach)).drills().stream().map(Drill::id).toList();
    }

    /** Drills of the coach's that cannot be read. */
    public List<SetAside> setAside(UUID coach) {
        return own(drills.documents(coach)).setAside();
    }

    /** The coach's own drills as a drill file. */
    String file(UUID coach) {
        return DrillFile.write(own(drills.documents(coach)).drills());
    }

    /** Some of the coach's own drills as a drill file. */
    public String file(UUID coach, List<String> ids) {
        return DrillFile.write(ids.stream().map(id -> of(coach).drill(id)).toList());
    }

    /** Stores those drills of a file that the coach does not have yet. */
    @Transactional
    public void takeMissing(UUID coach, String file) {
        accounts.lock(coach);
        DrillLibrary library = of(coach);
        put(
                coach,
                read(file, library.ids(), "drills").stream()
                        .filter(drill -> !library.has(drill.id()))
                        .toList(),
                "drills");
    }

    /**
     * Stores every drill of a file, or none.
     *
     * @return how many
     * @throws InvalidParts if anything is wrong; it names all of it
     */
    @Transactional
    int take(UUID coach, String file) {
        accounts.lock(coach);
        List<Drill> read = read(file, of(coach).ids(), "");
        for (int i = 0; i < read.size(); i++) {
            String id = read.get(i).id();
            if (DrillLibrary.standard().has(id)) {
                throw refused(
                        "[" + i + "].id", "is a drill that ships with Hodegon: " + id + "; give yours another id.");
            }
        }
        put(coach, read, "");
        return read.size();
    }

    private static List<Drill> read(String file, Set<String> known, String field) {
        try {
            return DrillFile.read(file, known);
        } catch (DrillFile.Broken broken) {
            throw new InvalidParts(broken.problems().stream()
                    .map(p -> new InvalidParts.Part(field + p.path(), p.message()))
                    .toList());
        }
    }

    private void put(UUID coach, List<Drill> taken, String field) {
        Set<String> ids = new HashSet<>(drills.documents(coach).keySet());
        taken.forEach(drill -> ids.add(drill.id()));
        if (ids.size() > DrillFile.MOST) {
            throw refused(
                    field.isEmpty() ? "file" : field,
                    "would make it " + ids.size() + " drills of your own; at most " + DrillFile.MOST + ".");
        }
        for (int i = 0; i < taken.size(); i++) {
            String document = DrillFile.write(List.of(taken.get(i))).strip();
            if (document.length() > LONGEST) {
                throw refused(
                        field + "[" + i + "]", "holds " + document.length() + " characters; at most " + LONGEST + ".");
            }
            drills.put(coach, taken.get(i).id(), document);
        }
    }

    private static InvalidParts refused(String field, String message) {
        return new InvalidParts(List.of(new InvalidParts.Part(field, message)));
    }

    /**
     * A drill that another coach shares.
     *
     * @param taken whether this coach has one of that id
     */
    record Shared(UUID coachId, String coach, Drill drill, boolean taken) {}

    /** What other coaches share; a drill that cannot be read is left out. */
    List<Shared> shared(UUID coach) {
        DrillLibrary library = of(coach);
        return drills.shared(coach).stream()
                .flatMap(s -> own(Map.of(s.id(), s.document())).drills().stream()
                        .map(d -> new Shared(s.coach(), s.coachName(), d, library.has(d.id()))))
                .toList();
    }

    List<String> sharedBy(UUID coach) {
        return drills.sharedBy(coach);
    }

    @Transactional
    void share(UUID coach, String id, boolean shared) {
        if (drills.share(coach, id, shared) == 0) throw new NotFound("drill of yours");
    }

    /** Takes a copy of what another coach shares: it stays when the other changes or leaves. */
    @Transactional
    void copy(UUID coach, UUID from, String id) {
        accounts.lock(coach);
        Drill shared = shared(coach).stream()
                .filter(s -> s.coachId().equals(from) && s.drill().id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("shared drill"))
                .drill();
        DrillLibrary library = of(coach);
        if (library.has(id)) throw new Conflict("You have a drill of that name already.");
        put(coach, List.of(shared.afterOnly(library.ids())), "");
    }

    /**
     * Forgets a drill of the coach's. Drills that came after it come after nothing then; that is asked first.
     *
     * @param anyway whether the coach has been asked
     */
    @Transactional
    void delete(UUID coach, String id, boolean anyway) {
        accounts.lock(coach);
        if (drills.inAPlan(coach, id)) throw new Conflict("A student's plan has this drill: edit it instead.");
        List<String> after = own(drills.documents(coach)).drills().stream()
                .filter(d -> d.after().contains(id))
                .map(Drill::name)
                .toList();
        if (!anyway && !after.isEmpty()) {
            throw new Conflict(String.join(", ", after) + (after.size() == 1 ? " comes" : " come")
                    + " after this drill, and would come after nothing.");
        }
        if (drills.delete(coach, id) == 0) throw new NotFound("drill of yours");
    }
}
