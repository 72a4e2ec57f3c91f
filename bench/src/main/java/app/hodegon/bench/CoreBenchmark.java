package app.hodegon.bench;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnostician;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.practice.Forecast;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Tally;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What a coach waits for, without the network. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CoreBenchmark {

    private static final LocalDate FROM = LocalDate.of(2026, 12, 1);

    private final Diagnostician diagnostician = new Diagnostician(PressureSchool.EARLY_RETURN, Handedness.RIGHT);
    private final Observations seen = seen();
    private final Planner planner = new Planner(DrillLibrary.standard());
    private final PlanRequest request = request();
    private final Plan plan = planner.plan(request);

    /** 25 signs and a tally. */
    private static Observations seen() {
        Map<Sign, Boolean> signs = new EnumMap<>(Sign.class);
        for (Sign sign : Sign.values()) if (signs.size() < 25) signs.put(sign, sign.ordinal() % 3 == 0);
        return new Observations(
                signs, List.of(), new Tally(Map.of(BallResult.SLICE, 6, BallResult.STRAIGHT, 2, BallResult.FAT, 2)));
    }

    /** Two faults over 28 days, practice every day. */
    private static PlanRequest request() {
        Map<DayOfWeek, Week.Slot> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            week.put(day, new Week.Slot(25, day == DayOfWeek.SATURDAY ? Place.RANGE : Place.HOME));
        }
        Student student = new Student(
                Handedness.RIGHT,
                Level.IMPROVER,
                AgeBand.ADULT,
                Set.of(),
                Set.of(Equipment.BALL, Equipment.DISC),
                new Week(week),
                Shoes.SOFT,
                List.of());
        return new PlanRequest(
                student,
                Approach.DEFAULT,
                List.of(
                        new PlanRequest.Focus(Fault.SWAY, Grade.LIKELY),
                        new PlanRequest.Focus(Fault.LEAD_FOOT_SPIN, Grade.LIKELY)),
                Set.of(),
                FROM,
                FROM.plusDays(28));
    }

    @Benchmark
    public Diagnosis diagnosisWithEvidenceAndNextLooks() {
        return diagnostician.diagnose(seen);
    }

    @Benchmark
    public Plan planFor28DaysAndTwoFaults() {
        return planner.plan(request);
    }

    @Benchmark
    public Map<Plan.Step, Forecast.Outlook> forecastOfThatPlan() {
        return Forecast.of(plan, request.student(), DrillLibrary.standard(), Forecast.History.NONE, Optional.empty());
    }
}
