package app.hodegon.core.track;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.track.Track.Path;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.Map;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;

/**
 * A track in few bytes: points to a tenth of a pixel as differences from picture to picture, certainty to a hundredth,
 * times to a microsecond, deflated. 150 pictures of nineteen points take about 10 kB. What was set by hand has a form of its
 * own, in which the time between two pictures of the film follows the view.
 */
public final class PackedTrack {

    private static final int FORM = 1;
    private static final int BY_HAND = 2;
    private static final double STEPS = 10;
    private static final double PARTS = 100;
    private static final double MICROS = 1e6;

    /** In the place of a point that was not seen. */
    private static final int LOST = Integer.MIN_VALUE;

    private PackedTrack() {}

    public static byte[] pack(Track track) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream out = new DataOutputStream(new DeflaterOutputStream(bytes))) {
            out.writeByte(track.isByHand() ? BY_HAND : FORM);
            out.writeUTF(track.view().id());
            if (track.isByHand()) out.writeDouble(track.step());
            out.writeInt(track.length());
            out.writeByte(track.paths().size());
            for (double seconds : track.seconds()) out.writeLong(Math.round(seconds * MICROS));
            for (Map.Entry<BodyPoint, Path> path : track.paths().entrySet()) {
                out.writeUTF(path.getKey().id());
                write(out, path.getValue().along());
                write(out, path.getValue().up());
                for (double certainty : path.getValue().certainty()) out.writeByte((int) Math.round(certainty * PARTS));
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return bytes.toByteArray();
    }

    private static void write(DataOutputStream out, double[] values) throws IOException {
        int last = 0;
        for (double value : values) {
            int now = Double.isNaN(value) ? LOST : (int) Math.round(value * STEPS);
            out.writeInt(now == LOST ? LOST : now - last);
            if (now != LOST) last = now;
        }
    }

    /** @throws IllegalArgumentException for bytes that are no packed track */
    public static Track unpack(byte[] bytes) {
        try (DataInputStream in = new DataInputStream(new InflaterInputStream(new ByteArrayInputStream(bytes)))) {
            int form = in.readByte();
            if (form != FORM && form != BY_HAND) throw new IllegalArgumentException("no packed track of a known form.");
            View view = Identified.of(View.class, in.readUTF());
            double step = form == BY_HAND ? in.readDouble() : Double.NaN;
            int length = in.readInt();
            int points = in.readByte();
            if (length < 0 || length > Track.LONGEST || points < 0 || points > Track.POINTS.size()) {
                throw new IllegalArgumentException("no packed track: its size is impossible.");
            }
            double[] seconds = new double[length];
            for (int i = 0; i < length; i++) seconds[i] = in.readLong() / MICROS;
            Map<BodyPoint, Path> paths = new EnumMap<>(BodyPoint.class);
            for (int k = 0; k < points; k++) {
                BodyPoint point = Identified.of(BodyPoint.class, in.readUTF());
                double[] along = read(in, length);
                double[] up = read(in, length);
                double[] certainty = new double[length];
                for (int i = 0; i < length; i++) certainty[i] = in.readByte() / PARTS;
                paths.put(point, new Path(along, up, certainty));
            }
            return form == BY_HAND ? Track.byHand(view, seconds, paths, step) : new Track(view, seconds, paths);
        } catch (IOException broken) {
            throw new IllegalArgumentException("no packed track: it is cut or spoiled.", broken);
        }
    }

    private static double[] read(DataInputStream in, int length) throws IOException {
        double[] values = new double[length];
        int last = 0;
        for (int i = 0; i < length; i++) {
            int difference = in.readInt();
            if (difference != LOST) last += difference;
            values[i] = difference == LOST ? Double.NaN : last / STEPS;
        }
        return values;
    }
}
