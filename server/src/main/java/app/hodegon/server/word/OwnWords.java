package app.hodegon.server.word;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import app.hodegon.server.word.DrillWordsView.DrillFilmView;
import app.hodegon.server.zone.Today;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people say of drills in their own words: the coach of how it goes, the student of what to think of. */
@Service
public class OwnWords {

    /** So many films a coach keeps, of 1.5 MB each. */
    static final int MOST_FILMS = 60;

    private final WordRepository words;
    private final Accounts accounts;
    private final Students students;
    private final Drills drills;
    private final Today today;
    private final ApplicationEventPublisher events;

    OwnWords(
            WordRepository words,
            Accounts accounts,
            Students students,
            Drills drills,
            Today today,
            ApplicationEventPublisher events) {
        this.words = words;
        this.accounts = accounts;
        this.students = students;
        this.drills = drills;
        this.today = today;
        this.events = events;
    }

    /** What a coach says of drills, by drill; the caller has made sure that it may be seen. */
    public Map<String, DrillWordsView> ofCoach(UUID coach) {
        Map<String, DrillWordsView> own = new TreeMap<>();
        Map<String, DrillFilmView> films = words.films(coach);
        words.words(coach).forEach((drill, said) -> own.put(drill, new DrillWordsView(said, films.get(drill))));
        films.forEach((drill, film) -> own.putIfAbsent(drill, new DrillWordsView("", film)));
        return own;
    }

    @Transactional
    public void say(Account coach, String drill, String said) {
        known(coach.id(), drill);
        accounts.lock(coach.id());
        words.put(coach.id(), drill, said.strip());
    }

    @Transactional
    void show(Account coach, String drill, byte[] film, String agreedBy) {
        known(coach.id(), drill);
        accounts.lock(coach.id());
        Map<String, DrillFilmView> films = words.films(coach.id());
        if (!films.containsKey(drill) && films.size() >= MOST_FILMS) {
            throw new Invalid("mp4", "You keep " + MOST_FILMS + " films already: remove one first.");
        }
        words.putFilm(coach.id(), drill, film, agreedBy.strip(), today.ofCoach(coach.id()));
    }

    @Transactional
    void hide(Account coach, String drill) {
        if (words.removeFilm(coach.id(), drill) == 0) throw new NotFound("film of this drill");
    }

    byte[] film(UUID coach, String drill) {
        return words.film(coach, drill).orElseThrow(() -> new NotFound("film of this drill"));
    }

    /** What a student calls the cues, by drill; the caller has made sure that the student may be seen. */
    public Map<String, String> cues(UUID student) {
        return words.cues(student);
    }

    @Transactional
    void call(Account account, String drill, String said) {
        call(students.self(account), drill, said);
    }

    /** As if the student had said so. */
    @Transactional
    public void call(StoredStudent student, String drill, String said) {
        known(student.coachId(), drill);
        students.lock(student.id());
        words.putCue(student.id(), drill, said.strip());
        events.publishEvent(new StudentChanged(student.id()));
    }

    private void known(UUID coach, String drill) {
        if (!drills.of(coach).has(drill)) throw new NotFound("drill");
    }
}
