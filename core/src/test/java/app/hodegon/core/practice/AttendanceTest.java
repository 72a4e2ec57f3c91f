package app.hodegon.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class AttendanceTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);

    /** Days that lie so many days back, from one number to another. */
    private static List<LocalDate> back(int from, int to) {
        return IntStream.range(from, to).mapToObj(TODAY::minusDays).toList();
    }

    private static Attendance of(List<LocalDate> planned, List<LocalDate> done) {
        return Attendance.of(planned, Set.copyOf(done), TODAY);
    }

    @Test
    void nobodyKnownKeepsFourOfFive() {
        assertThat(of(List.of(), List.of())).isEqualTo(Attendance.UNKNOWN);
        assertThat(Attendance.UNKNOWN.share()).isEqualTo(0.8);
    }

    @Test
    void todayIsMissedOnlyTomorrowAndKeptAtOnce() {
        assertThat(of(List.of(TODAY), List.of())).isEqualTo(Attendance.UNKNOWN);
        assertThat(of(List.of(TODAY), List.of(TODAY)).kept()).isEqualTo(5);
        assertThat(of(back(1, 2), List.of()).missed()).isCloseTo(1.97, within(0.01));
    }

    @Test
    void theLatestWeeksCountMost() {
        List<LocalDate> planned = back(1, 43);
        double better = of(planned, back(1, 22)).share();
        double worse = of(planned, back(22, 43)).share();
        assertThat(better).isGreaterThan(worse + 0.2);
        // The same days kept, half of them: without weights both would be the same.
        assertThat(better).isGreaterThan(0.6);
    }

    @Test
    void theSharesToWalkWithSpreadAroundIt() {
        double[] unknown = Attendance.UNKNOWN.shares(25);
        assertThat(unknown).isSorted();
        assertThat(IntStream.range(0, 25).mapToObj(i -> unknown[i]).collect(Collectors.averagingDouble(d -> d)))
                .isCloseTo(0.8, within(0.01));
        double[] known = of(back(1, 60), back(1, 60)).shares(25);
        assertThat(known[24] - known[0]).isLessThan((unknown[24] - unknown[0]) / 2);
    }
}
