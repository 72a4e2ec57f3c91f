package app.hodegon.server.progress;

import app.hodegon.core.practice.Tried;
import app.hodegon.core.progress.Changes;
import app.hodegon.core.progress.Changes.Moment;
import app.hodegon.core.progress.Concern;
import app.hodegon.core.progress.Sample;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.BallResult.Kind;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.SwingLength;
import app.hodegon.core.swing.Tally;
import app.hodegon.core.swing.Units.Scale;
import app.hodegon.server.account.Account;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.progress.StagesView.LadderFigure;
import app.hodegon.server.progress.StagesView.LadderRung;
import app.hodegon.server.shots.ShotFiles;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** The stages of one lesson against each other. */
@Service
class StageService {

    private final Lessons lessons;
    private final ShotFiles shots;
    private final ProgressService progress;

    StageService(Lessons lessons, ShotFiles shots, ProgressService progress) {
        this.lessons = lessons;
        this.shots = shots;
        this.progress = progress;
    }

    /** With their balls: of the first and the last the stored ones, of what was tried also those keyed in beside it. */
    private record At(String name, Moment moment, Optional<SwingLength> length) {}

    /**
     * What each thing that was tried brought, against the first balls and the stage before; distances only where the swings
     * are as long.
     */
    StagesView view(Account coach, UUID lessonId) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        Said said = progress.said(coach, lesson.studentId());
        Map<String, List<Shot>> balls = shots.ofLesson(lessonId);
        At first = at(Stage.BEFORE.id(), new Moment(lesson.before(), List.of()), Optional.empty(), balls);
        List<At> stages = new ArrayList<>(List.of(first));
        List<TriedView> brought = new ArrayList<>();
        lesson.triedByName().forEach((name, tried) -> {
            At now = at(name, new Moment(tried.seen(), tried.measured()), tried.length(), balls);
            At before = stages.get(stages.size() - 1);
            brought.add(new TriedView(
                    changes(first, now, tried, lesson, said),
                    before == first ? List.of() : changes(before, now, tried, lesson, said)));
            stages.add(now);
        });
        stages.add(at(Stage.AFTER.id(), new Moment(lesson.after(), List.of()), Optional.empty(), balls));
        Scale scale = said.units().of(ShotFigure.CARRY.unit());
        return new StagesView(
                brought,
                stages.stream()
                        .flatMap(s -> rung(s, said.hand(), scale).stream())
                        .toList(),
                scale.unit());
    }

    private static At at(String name, Moment seen, Optional<SwingLength> length, Map<String, List<Shot>> balls) {
        List<Shot> all = Stream.concat(seen.shots().stream(), balls.getOrDefault(name, List.of()).stream())
                .toList();
        return new At(name, new Moment(seen.seen(), all), length);
    }

    private static List<ChangeView> changes(At then, At now, Tried tried, StoredLesson lesson, Said said) {
        List<Shot> comparable = tried.asFarAs(then.length()) ? then.moment().shots() : List.of();
        return new Changes(
                        new Moment(then.moment().seen(), comparable),
                        now.moment(),
                        lesson.approach().school(),
                        Concern.of(lesson.focus()),
                        said.repeatability())
                .list().stream().map(c -> ChangeView.of(c, said)).toList();
    }

    private static Optional<LadderRung> rung(At stage, Handedness hand, Scale scale) {
        Tally tally = stage.moment().seen().shots();
        int struck = tally.total(Kind.STRIKE);
        LadderFigure carry = figure(stage, ShotFigure.CARRY, scale.factor());
        double right = hand == Handedness.RIGHT ? scale.factor() : -scale.factor();
        LadderFigure offline = figure(stage, ShotFigure.OFFLINE, right);
        return struck == 0 && carry == null && offline == null
                ? Optional.empty()
                : Optional.of(new LadderRung(stage.name(), struck, tally.of(BallResult.SOLID), carry, offline));
    }

    private static LadderFigure figure(At stage, ShotFigure figure, double factor) {
        double[] values = stage.moment().shots().stream()
                .flatMapToDouble(s -> s.figure(figure).stream())
                .map(v -> factor * v)
                .toArray();
        if (values.length == 0) return null;
        return new LadderFigure(
                Arrays.stream(values).boxed().toList(), Sample.of(values).mean());
    }
}
