package app.hodegon.server.plate;

import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.golfer.PlateStream;
import app.hodegon.core.golfer.PlateStream.Act;
import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.LoadUnit;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** The stand-in plate's stream, as lines: a golfer who stands there, and swings on request. */
final class StandInLines {

    static final double RATE = 200;

    private static final double NOISE = 0.5;
    private static final double WEIGHT = 78;

    private final Golfer golfer;
    private final PlateStream stream;
    private final Random random;
    private final String name;
    private long next;

    StandInLines(Golfer golfer, long seed) {
        this.golfer = golfer;
        this.random = new Random(seed);
        this.stream = new PlateStream(golfer, new Plate(RATE, NOISE, LoadUnit.KILOGRAM, WEIGHT), seed);
        this.name = "stand-in-" + Long.toHexString(seed);
    }

    String header() {
        String channels = String.join("\",\"", Cell.channels(golfer.hand()));
        return "{\"stream\":\"%s\",\"plate\":\"Stand-in\",\"rate\":200,\"unit\":\"kilogram\",\"channels\":[\"%s\"]}%n"
                .formatted(name, channels);
    }

    /** A swing, with a waggle before most and now and then one that is broken off. */
    void swing() {
        if (random.nextInt(3) > 0) stream.ask(Act.WAGGLE);
        if (random.nextInt(6) == 0) stream.ask(Act.FALSE_START);
        stream.ask(Act.SWING);
    }

    void ask(Act act) {
        stream.ask(act);
    }

    boolean resting() {
        return stream.resting();
    }

    int swings() {
        return stream.swings();
    }

    /** The next samples, with what a sensor on the club tells in between. */
    String lines(int samples) {
        StringBuilder lines = new StringBuilder();
        for (int i = 0; i < samples; i++) {
            Map<Cell, Double> loads = stream.next();
            lines.append("{\"n\":").append(next).append(",\"v\":[");
            for (Cell cell : Cell.values()) {
                if (cell.ordinal() > 0) lines.append(',');
                lines.append(String.format(Locale.ROOT, "%.2f", loads.get(cell)));
            }
            lines.append("]}\n");
            double now = next / RATE;
            stream.passed()
                    .ifPresent(at ->
                            lines.append(String.format(Locale.ROOT, "{\"event\":\"%s\",\"t\":%.4f}%n", at.id(), now)));
            next++;
        }
        return lines.toString();
    }
}
