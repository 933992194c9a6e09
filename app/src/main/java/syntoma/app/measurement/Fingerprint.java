package syntoma.app.measurement;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.Map;
import java.util.function.ToLongFunction;
import syntoma.core.reading.Figure;

/**
 * 128 bits over what makes two rows the same measurement: time, campsite, setup, carrier, trial, round and every metric.
 * Campsites, setups and carriers count by the names they had first, so that renaming them changes nothing.
 */
record Fingerprint(long high, long low) {
    private static final ThreadLocal<MessageDigest> DIGEST = ThreadLocal.withInitial(() -> {
        try {
            return MessageDigest.getInstance("MD5");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    });

    private static final ThreadLocal<ByteBuffer> BUFFER = ThreadLocal.withInitial(
            () -> ByteBuffer.allocate(16 + 12 * Figure.numbers().size() + 4 * (4 * 120 + 4)));

    /** Figures that came later count only where they are present, so that rows of before stay the same. */
    private static final int SLOTS_AT_FIRST = 11;

    /** The first names of what is known by more than one name; all others are their own. */
    record Names(Map<String, String> campsites, Map<String, String> setups, Map<String, String> carriers) {}

    static Fingerprint of(NewMeasurement m, Names names) {
        return of(
                m.takenAt().toInstant(),
                m.round().orElse(-1),
                figure -> m.numbers().bits(figure),
                first(names.campsites, m.campsite()),
                first(names.setups, m.setup()),
                first(names.carriers, m.carrier()),
                m.trial());
    }

    /** Of a row under the names given, which are by themselves or of before. */
    static Fingerprint of(MeasurementRow row, String campsite, String setup, String carrier, Names names) {
        return of(
                row.takenAt.toInstant(),
                row.round == null ? -1 : row.round,
                figure -> Numbers.bits(row.number(figure)),
                first(names.campsites, campsite),
                first(names.setups, setup),
                first(names.carriers, carrier),
                row.trial == null ? "" : row.trial);
    }

    private static String first(Map<String, String> names, String name) {
        return names.getOrDefault(name, name);
    }

    private static Fingerprint of(Instant at, int round, ToLongFunction<Figure> bits, String... names) {
        ByteBuffer buffer = BUFFER.get().clear();
        buffer.putLong(at.getEpochSecond()).putInt(at.getNano()).putInt(round);
        for (Figure figure : Figure.numbers()) {
            long value = bits.applyAsLong(figure);
            int slot = figure.measure().slot();
            if (slot < SLOTS_AT_FIRST) {
                buffer.putLong(value);
            } else if (value != Numbers.MISSING) {
                buffer.putInt(slot).putLong(value);
            }
        }
        for (String name : names) {
            buffer.put(name.getBytes(StandardCharsets.UTF_8)).put((byte) 0);
        }
        MessageDigest digest = DIGEST.get();
        digest.update(buffer.array(), 0, buffer.position());
        ByteBuffer hash = ByteBuffer.wrap(digest.digest());
        return new Fingerprint(hash.getLong(), hash.getLong());
    }
}
