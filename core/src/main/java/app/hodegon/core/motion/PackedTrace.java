package app.hodegon.core.motion;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;

/**
 * A trace in few bytes: every channel in 8,000 steps of the highest load, as differences from sample to sample, high and
 * low bytes apart, deflated. Four seconds of eight cells at 200 a second take about 7 kB, two feet under 2; a step of a 100 kg push is 13 g, far under what a plate can tell.
 */
public final class PackedTrace {

    private static final int FORM = 1;
    private static final int STEPS = 8_000;

    /** In the place of a value that was lost. */
    private static final short LOST = Short.MIN_VALUE;

    private PackedTrace() {}

    public static byte[] pack(Trace trace) {
        double[][] channels = channels(trace);
        double highest = Arrays.stream(channels)
                .flatMapToDouble(Arrays::stream)
                .filter(v -> !Double.isNaN(v))
                .max()
                .orElse(0);
        double step = highest > 0 ? highest / STEPS : 1;
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream head = new DataOutputStream(bytes)) {
            head.writeByte(FORM);
            head.writeByte(channels.length);
            head.writeInt(trace.length());
            head.writeDouble(step);
            head.writeDouble(trace.rate());
            head.writeByte(trace.unit().ordinal());
            DeflaterOutputStream packed = new DeflaterOutputStream(head, new Deflater(Deflater.BEST_COMPRESSION));
            for (double[] channel : channels) write(packed, channel, step);
            packed.finish();
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return bytes.toByteArray();
    }

    private static void write(DeflaterOutputStream out, double[] channel, double step) throws IOException {
        byte[] high = new byte[channel.length];
        byte[] low = new byte[channel.length];
        int last = 0;
        for (int i = 0; i < channel.length; i++) {
            int value = Double.isNaN(channel[i]) ? LOST : (int) Math.round(channel[i] / step);
            short difference = (short) (value - last);
            last = value;
            high[i] = (byte) (difference >> 8);
            low[i] = (byte) difference;
        }
        out.write(high);
        out.write(low);
    }

    /** @throws IllegalArgumentException if this was not packed here, or not whole */
    public static Trace unpack(byte[] bytes) {
        try (DataInputStream head = new DataInputStream(new ByteArrayInputStream(bytes))) {
            int form = head.readByte();
            int count = head.readByte();
            int length = head.readInt();
            if (form != FORM || count < 0 || length < Trace.SHORTEST || length > Trace.LONGEST)
                throw new EOFException();
            double step = head.readDouble();
            double rate = head.readDouble();
            LoadUnit unit = LoadUnit.values()[head.readByte()];
            double[][] channels = new double[count][length];
            InflaterInputStream packed = new InflaterInputStream(head);
            for (double[] channel : channels) read(packed, channel, step);
            return trace(rate, unit, channels);
        } catch (IOException | IndexOutOfBoundsException damaged) {
            throw new IllegalArgumentException("these are no packed loads.", damaged);
        }
    }

    private static void read(InflaterInputStream in, double[] channel, double step) throws IOException {
        byte[] high = in.readNBytes(channel.length);
        byte[] low = in.readNBytes(channel.length);
        if (low.length < channel.length) throw new EOFException();
        short value = 0;
        for (int i = 0; i < channel.length; i++) {
            value += (short) (high[i] << 8 | low[i] & 0xff);
            channel[i] = value == LOST ? Double.NaN : value * step;
        }
    }

    private static double[][] channels(Trace trace) {
        int count = trace.hasCells() ? Cell.values().length : Foot.values().length;
        double[][] channels = new double[count][trace.length()];
        for (int c = 0; c < count; c++) {
            for (int i = 0; i < trace.length(); i++) {
                channels[c][i] = trace.hasCells() ? trace.load(Cell.values()[c], i) : trace.load(Foot.values()[c], i);
            }
        }
        return channels;
    }

    private static Trace trace(double rate, LoadUnit unit, double[][] channels) {
        if (channels.length == Foot.values().length) return Trace.ofFeet(rate, unit, channels[0], channels[1]);
        Map<Cell, double[]> cells = new EnumMap<>(Cell.class);
        for (Cell cell : Cell.values()) cells.put(cell, channels[cell.ordinal()]);
        return Trace.ofCells(rate, unit, cells);
    }
}
