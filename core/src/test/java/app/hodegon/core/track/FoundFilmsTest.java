package app.hodegon.core.track;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.motion.Measured;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.track.Track.Path;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Points as they were found in films of golfers of many builds, clothes, lights, cameras and rates (web/films/learn.mjs):
 * what is said of a reading's uncertainty holds, on films that nothing was learnt from.
 */
class FoundFilmsTest {

    private static final JsonMapper JSON = new JsonMapper();

    private static final int FILMS = 24;

    /** Of fewer readings nothing is to be told. */
    private static final int FEW = 4;

    private static final double MORE = 1.2;

    /** Every third film was left out when the errors of found points were learnt. */
    static boolean isLeftOut(int number) {
        return number % 9 >= 6;
    }

    /** One reading of one film against what was put in. */
    record Held(int film, Measure measure, Optional<Checkpoint> at, double off, double uncertainty) {}

    static List<Held> held(Predicate<Integer> which) {
        List<Held> all = new ArrayList<>();
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                new GZIPInputStream(FoundFilmsTest.class.getResourceAsStream("found.jsonl.gz")),
                StandardCharsets.UTF_8))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                JsonNode film = JSON.readTree(line);
                int number = film.path("number").asInt();
                if (!film.has("failed") && which.test(number)) all.addAll(held(number, film));
            }
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
        return all;
    }

    private static List<Held> held(int number, JsonNode film) {
        Handedness hand = Identified.of(Handedness.class, film.path("hand").asString());
        View view = Identified.of(View.class, film.path("seen").asString());
        GolfSwing swing = new Golfer(
                        hand,
                        film.path("height").asDouble(),
                        Identified.of(PressureSchool.class, film.path("school").asString()),
                        Map.of(
                                Identified.of(Fault.class, film.path("fault").asString()),
                                film.path("strength").asDouble()),
                        Pace.USUAL)
                .swing();
        TrackReading read = TrackReader.read(
                track(film, hand, view),
                Optional.empty(),
                OptionalDouble.of(film.path("height").asDouble()),
                List.of());
        List<Held> held = new ArrayList<>();
        for (Measured reading : read.swing().readings()) {
            OptionalDouble truth = swing.truth(reading.measure(), reading.at());
            // Lengths of time begin elsewhere on loads (docs/decisions/0028).
            if (truth.isEmpty() || reading.at().isEmpty()) continue;
            held.add(new Held(
                    number,
                    reading.measure(),
                    reading.at(),
                    reading.value() - truth.getAsDouble(),
                    reading.uncertainty()));
        }
        return held;
    }

    private static Track track(JsonNode film, Handedness hand, View view) {
        JsonNode frames = film.path("frames");
        double[] seconds = new double[frames.size()];
        for (int i = 0; i < seconds.length; i++)
            seconds[i] = film.path("times").get(i).asDouble();
        Map<BodyPoint, Path> paths = new EnumMap<>(BodyPoint.class);
        for (int k = 0; k < film.path("points").size(); k++) {
            String name = film.path("points").get(k).asString();
            BodyPoint point = Track.POINTS.stream()
                    .filter(p -> p.name(hand).equals(name))
                    .findFirst()
                    .orElseThrow();
            double[][] way = new double[3][seconds.length];
            for (int i = 0; i < seconds.length; i++) {
                JsonNode found = frames.get(i).get(k);
                for (int c = 0; c < 3; c++)
                    way[c][i] = found.isNull()
                            ? (c == 2 ? 0 : Double.NaN)
                            : found.get(c).asDouble();
            }
            paths.put(point, Path.inPicture(view, hand, way[0], way[1], way[2]));
        }
        return new Track(view, seconds, paths).asFound();
    }

    private static double within(List<Held> all) {
        return (double) all.stream()
                        .filter(h -> Math.abs(h.off()) < 2 * h.uncertainty())
                        .count()
                / all.size();
    }

    @Test
    void whatIsSaidHoldsOnFilmsThatWereLeftOut() {
        List<Held> leftOut = held(FoundFilmsTest::isLeftOut);
        assertThat(leftOut).hasSizeGreaterThan(80);
        assertThat(within(leftOut)).isGreaterThan(0.9);
        assertThat(held(n -> true).stream().map(Held::film).distinct()).hasSizeGreaterThanOrEqualTo(FILMS);
    }

    /** The table is what the films say: a fifth more than the root of the mean square, for they are few. */
    @Test
    void theErrorsAreThoseOfTheFilmsLearntFrom() {
        byWhat(held(n -> !isLeftOut(n))).forEach((what, all) -> {
            OptionalDouble learnt =
                    FoundErrors.of(all.get(0).measure(), all.get(0).at().orElseThrow());
            assertThat(learnt).as(what).isPresent();
            if (all.size() < FEW) return;
            double found = MORE
                    * Math.sqrt(all.stream()
                            .mapToDouble(h -> h.off() * h.off())
                            .average()
                            .orElseThrow());
            assertThat(learnt.getAsDouble()).as(what).isBetween(0.85 * found - 0.1, 1.25 * found + 0.1);
        });
    }

    @Test
    void whatTheViewCannotTellIsNoReading() {
        assertThat(held(n -> true)).extracting(Held::measure).doesNotContain(Measure.HIP_TURN, Measure.HIP_LINE);
    }

    private static Map<String, List<Held>> byWhat(List<Held> all) {
        Map<String, List<Held>> by = new TreeMap<>();
        for (Held one : all) {
            by.computeIfAbsent(
                            one.measure().id() + " at " + one.at().orElseThrow().id(), k -> new ArrayList<>())
                    .add(one);
        }
        return by;
    }

    /** The table of docs/measuring-learnt.md: {@code -Dfound.table=true}. */
    @Test
    void table() {
        Map<String, List<Held>> all = byWhat(held(n -> true));
        assertThat(all).isNotEmpty();
        if (!Boolean.getBoolean("found.table")) return;
        all.forEach((what, held) -> System.out.printf(
                "| %s | %d | %.1f | %.1f | %.1f | %.0f %% |%n",
                what,
                held.size(),
                held.stream().mapToDouble(Held::off).average().orElseThrow(),
                Math.sqrt(held.stream()
                        .mapToDouble(h -> h.off() * h.off())
                        .average()
                        .orElseThrow()),
                held.stream().mapToDouble(Held::uncertainty).average().orElseThrow(),
                100 * within(held)));
        System.out.printf(
                "all %d, left out %.3f, all %.3f%n",
                held(n -> true).size(), within(held(FoundFilmsTest::isLeftOut)), within(held(n -> true)));
        byWhat(held(n -> !isLeftOut(n)))
                .forEach((what, held) -> System.out.printf(
                        "learn %s %d %.2f%n",
                        what,
                        held.size(),
                        MORE
                                * Math.sqrt(held.stream()
                                        .mapToDouble(h -> h.off() * h.off())
                                        .average()
                                        .orElseThrow())));
    }
}
