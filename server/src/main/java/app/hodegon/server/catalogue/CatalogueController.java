package app.hodegon.server.catalogue;

import app.hodegon.core.approach.Choice.Question;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.HipLine;
import app.hodegon.core.diagnosis.Showing;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.Drill.Effect;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.DrillMovement;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Feedback;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Ground;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Notice;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.practice.Aside;
import app.hodegon.core.practice.RoundPlayed;
import app.hodegon.core.practice.Turn;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.SwingLength;
import app.hodegon.core.swing.Units;
import app.hodegon.core.swing.Wording;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.AccountUnits;
import app.hodegon.server.catalogue.CatalogueView.BallResultView;
import app.hodegon.server.catalogue.CatalogueView.CheckpointView;
import app.hodegon.server.catalogue.CatalogueView.ChoiceView;
import app.hodegon.server.catalogue.CatalogueView.DiagramView;
import app.hodegon.server.catalogue.CatalogueView.DrillView;
import app.hodegon.server.catalogue.CatalogueView.EquipmentView;
import app.hodegon.server.catalogue.CatalogueView.FaultInfo;
import app.hodegon.server.catalogue.CatalogueView.FlightView;
import app.hodegon.server.catalogue.CatalogueView.FormView;
import app.hodegon.server.catalogue.CatalogueView.HalfStepView;
import app.hodegon.server.catalogue.CatalogueView.MeasureView;
import app.hodegon.server.catalogue.CatalogueView.Named;
import app.hodegon.server.catalogue.CatalogueView.NoticeKindView;
import app.hodegon.server.catalogue.CatalogueView.NoticeView;
import app.hodegon.server.catalogue.CatalogueView.PracticeRules;
import app.hodegon.server.catalogue.CatalogueView.PropView;
import app.hodegon.server.catalogue.CatalogueView.QuestionView;
import app.hodegon.server.catalogue.CatalogueView.RungView;
import app.hodegon.server.catalogue.CatalogueView.ScaleView;
import app.hodegon.server.catalogue.CatalogueView.SchoolView;
import app.hodegon.server.catalogue.CatalogueView.SetAside;
import app.hodegon.server.catalogue.CatalogueView.SignView;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.student.Students;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The vocabulary, made once per hand and units. */
@RestController
class CatalogueController {

    private final Map<Wording, CatalogueView> known = new HashMap<>();

    private final Drills drills;
    private final ReadableDrills readable;
    private final Students students;
    private final AccountUnits accountUnits;

    CatalogueController(Drills drills, ReadableDrills readable, Students students, AccountUnits accountUnits) {
        this.drills = drills;
        this.readable = readable;
        this.students = students;
        this.accountUnits = accountUnits;
        for (Handedness hand : Handedness.values()) {
            for (Units units : Units.values()) known.put(new Wording(hand, units), catalogue(new Wording(hand, units)));
        }
    }

    @GetMapping("/api/catalogue")
    CatalogueView catalogue(
            @AuthenticationPrincipal Account account,
            @RequestParam(defaultValue = "right") String hand,
            @RequestParam(required = false) String units) {
        Wording said = new Wording(
                Invalid.in("hand", () -> Identified.of(Handedness.class, hand)),
                units == null ? ownUnits(account) : Invalid.in("units", () -> Identified.of(Units.class, units)));
        DrillLibrary library = readable.of(account);
        List<SetAside> setAside = account.role() == Account.Role.COACH
                ? drills.setAside(account.id()).stream()
                        .map(s -> new SetAside(s.id(), s.why()))
                        .toList()
                : List.of();
        return library == DrillLibrary.standard()
                ? known.get(said)
                : known.get(said).with(drills.own(readable.whose(account)), drills(library, said), setAside);
    }

    private static String shows(Sign sign) {
        return Catalogue.standard().shownBy(new Showing.OfSign(sign)).entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(most -> most.getKey().id())
                .orElse(null);
    }

    private Units ownUnits(Account account) {
        return account.role() == Account.Role.COACH
                ? accountUnits.of(account.id())
                : Identified.of(Units.class, students.self(account).units());
    }

    private static Map<String, ScaleView> scales(Units units) {
        Map<String, ScaleView> scales = new LinkedHashMap<>();
        for (String unit : Units.SAID_OTHERWISE) {
            scales.put(unit, new ScaleView(units.of(unit).unit(), units.of(unit).factor()));
        }
        return scales;
    }

    private static CatalogueView catalogue(Wording hand) {
        return new CatalogueView(
                Catalogue.VERSION,
                Arrays.stream(Checkpoint.values())
                        .map(c -> new CheckpointView(c.id(), hand.say(c.label()), c.brief()))
                        .toList(),
                Arrays.stream(Sign.values())
                        .map(s -> new SignView(
                                s.id(), s.at().id(), s.effort().id(), hand.say(s.label()), hand.say(s.how()), shows(s)))
                        .toList(),
                Arrays.stream(Measure.values()).map(m -> measure(m, hand)).toList(),
                named(Source.values(), Source::label),
                named(Feedback.values(), Feedback::label),
                Arrays.stream(Notice.Kind.values())
                        .map(k -> new NoticeKindView(k.label(), notice(k.usual(), hand)))
                        .toList(),
                Arrays.stream(BallResult.values())
                        .map(r -> new BallResultView(r.kind().id(), r.id(), r.label()))
                        .toList(),
                Arrays.stream(Fault.values())
                        .map(f -> new FaultInfo(
                                f.id(),
                                hand.say(f.label()),
                                f.stage().name().toLowerCase(Locale.ROOT),
                                hand.say(f.what()),
                                hand.say(f.lookAlike()),
                                hand.say(f.trap()),
                                balls(f)))
                        .toList(),
                Arrays.stream(PressureSchool.values())
                        .map(CatalogueController::school)
                        .toList(),
                Arrays.stream(Question.values())
                        .map(q -> new QuestionView(
                                q.id(),
                                q.label(),
                                q.choices().stream()
                                        .map(c -> new ChoiceView(c.id(), c.label(), c.why()))
                                        .toList()))
                        .toList(),
                Arrays.stream(HipLine.Flight.values())
                        .map(f -> new FlightView(f.id(), f.label(), f.low(), f.high()))
                        .toList(),
                named(Level.values(), Level::label),
                named(AgeBand.values(), AgeBand::label),
                named(Joint.values(), Joint::label),
                named(Place.values(), Place::label),
                named(Shoes.values(), Shoes::label),
                named(Ground.values(), Ground::label),
                Arrays.stream(Form.values())
                        .map(f -> new FormView(f.id(), f.label(), f.how(), f.realBall()))
                        .toList(),
                Arrays.stream(Equipment.values())
                        .map(e -> new EquipmentView(
                                e.id(), e.label(), e.substitute().orElse(null), e.usual()))
                        .toList(),
                Arrays.stream(Rung.values())
                        .map(r -> new RungView(r.id(), r.label(), r.rehearsalsPerRound(), r.ballsPerRound()))
                        .toList(),
                new PracticeRules(
                        Turn.MISSES,
                        Turn.GOOD,
                        Turn.REHEARSALS,
                        Aside.GAP_DAYS,
                        named(Club.values(), Club::label),
                        named(SwingLength.values(), SwingLength::label),
                        named(RoundPlayed.Cost.values(), RoundPlayed.Cost::label)),
                scales(hand.units()),
                drills(DrillLibrary.standard(), hand),
                List.of(),
                List.of());
    }

    private static List<String> balls(Fault fault) {
        return Arrays.stream(BallResult.values())
                .filter(r ->
                        Catalogue.standard().shownBy(new Showing.OfBalls(r)).containsKey(fault))
                .map(r -> r.kind().id() + ":" + r.id())
                .toList();
    }

    private static <E extends Identified> List<Named> named(E[] values, Function<E, String> label) {
        return Arrays.stream(values).map(v -> new Named(v.id(), label.apply(v))).toList();
    }

    private static List<String> ids(Collection<? extends Identified> values) {
        return values.stream().map(Identified::id).sorted().toList();
    }

    private static MeasureView measure(Measure measure, Wording hand) {
        return new MeasureView(
                measure.id(),
                hand.say(measure.label()),
                measure.quantity().unit(),
                measure.atCheckpoint(),
                Catalogue.standard().asksFor(measure).stream()
                        .flatMap(Optional::stream)
                        .map(Checkpoint::id)
                        .toList(),
                measure.quantity().lowest(),
                measure.quantity().highest(),
                Repeatability.sources(measure.quantity()).stream()
                        .map(Source::id)
                        .toList());
    }

    private static SchoolView school(PressureSchool school) {
        Map<String, double[]> corridors = new LinkedHashMap<>();
        for (Checkpoint at : Checkpoint.values()) {
            PressureSchool.Corridor corridor = school.corridor(at);
            corridors.put(at.id(), new double[] {corridor.low(), corridor.high()});
        }
        return new SchoolView(school.id(), school.label(), school.why(), corridors);
    }

    private static Map<String, DrillView> drills(DrillLibrary library, Wording hand) {
        Map<String, DrillView> drills = new LinkedHashMap<>();
        for (Drill drill : library.all()) drills.put(drill.id(), drill(drill, library, hand));
        return drills;
    }

    private static List<String> faults(Drill drill, Effect effect) {
        return Arrays.stream(Fault.values())
                .filter(f -> drill.effects().get(f) == effect)
                .map(Fault::id)
                .toList();
    }

    private static NoticeView notice(Notice notice, Wording hand) {
        if (notice.reply() instanceof Notice.Measured measured) {
            return new NoticeView(
                    notice.kind().id(),
                    hand.say(notice.question()),
                    measured.unit(),
                    List.of(),
                    List.of(),
                    measured.from(),
                    measured.to());
        }
        Notice.Choices choices = (Notice.Choices) notice.reply();
        return new NoticeView(
                notice.kind().id(),
                hand.say(notice.question()),
                null,
                choices.answers().stream()
                        .map(a -> new Named(a.id(), hand.say(a.label())))
                        .toList(),
                choices.answers().stream()
                        .map(Notice.Answer::id)
                        .filter(choices.right()::contains)
                        .toList(),
                null,
                null);
    }

    private static HalfStepView halfStep(HalfStep step, Wording hand) {
        HalfStep said = step.said(hand.hand());
        return new HalfStepView(said.id(), said.label(), said.action());
    }

    private static DrillView drill(Drill drill, DrillLibrary library, Wording hand) {
        Map<String, String> variations = new LinkedHashMap<>();
        Map<String, List<HalfStepView>> halfSteps = new LinkedHashMap<>();
        Map<String, HalfStepView> next = new LinkedHashMap<>();
        Map<String, Integer> speeds = new LinkedHashMap<>();
        for (Rung rung : Rung.values()) {
            if (!drill.covers(rung)) continue;
            variations.put(rung.id(), hand.say(drill.variation(rung)));
            speeds.put(rung.id(), drill.speed(rung));
            halfSteps.put(
                    rung.id(),
                    library.halfSteps(drill, rung).stream()
                            .map(s -> halfStep(s, hand))
                            .toList());
            library.nextAfterAGoodRun(drill, rung).ifPresent(s -> next.put(rung.id(), halfStep(s, hand)));
        }
        Drill.Texts texts = drill.texts();
        return new DrillView(
                drill.id(),
                drill.name(),
                variations,
                hand.say(texts.setUp()),
                hand.say(texts.action()),
                hand.say(texts.feel()),
                hand.say(texts.good()),
                hand.say(texts.mistake()),
                hand.say(texts.fix()),
                texts.onPurpose().map(hand::say).orElse(null),
                hand.say(texts.easier()),
                hand.say(texts.harder()),
                hand.say(texts.cue()),
                hand.say(texts.caution()),
                drill.feedback().stream().map(Feedback::id).toList(),
                faults(drill, Effect.MAIN),
                faults(drill, Effect.HELPS),
                ids(drill.places()),
                ids(drill.needs()),
                ids(drill.schools()),
                ids(drill.clashes()),
                ids(drill.neverWith()),
                ids(drill.careWith()),
                drill.after(),
                ids(drill.kit()),
                drill.bare(),
                new DiagramView(
                        drill.diagram().stance().id(),
                        drill.diagram().props().stream()
                                .map(p -> new PropView(p.shape().id(), p.at().id()))
                                .toList(),
                        drill.diagram().press().stream().map(Identified::id).toList(),
                        drill.diagram().move().id()),
                drill.notice().map(n -> notice(n, hand)).orElse(null),
                halfSteps,
                next,
                speeds,
                drill.ways().moves(),
                drill.ways().combines(),
                ids(drill.footing().notIn()),
                ids(drill.footing().onlyOn()),
                Stream.of(
                                drill.favour().choices(),
                                drill.favour().schools(),
                                drill.favour().signs())
                        .flatMap(favoured -> ids(favoured).stream())
                        .toList(),
                drill.movement().isPresent(),
                drill.movement().flatMap(DrillMovement::mistake).isPresent());
    }
}
