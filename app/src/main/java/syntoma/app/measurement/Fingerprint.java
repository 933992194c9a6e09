package syntoma.app.measurement;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import syntoma.core.reading.Figure;

/**
 * 128 bits over what makes two rows the same measurement: time, campsite, setup, carrier, trial, round and every metric. A
 * setup counts by the name it had first, so that renaming it changes nothing.
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

    static Fingerprint of(NewMeasurement m, String setup) {
        ByteBuffer buffer = BUFFER.get().clear();
        Instant at = m.takenAt().toInstant();
        buffer.putLong(at.getEpochSecond())
                .putInt(at.getNano())
                .putInt(m.round().orElse(-1));
        for (Figure figure : Figure.numbers()) {
            long bits = m.numbers().bits(figure);
            int slot = figure.measure().slot();
            if (slot < SLOTS_AT_FIRST) {
                buffer.putLong(bits);
            } else if (m.numbers().get(figure).isPresent()) {
                buffer.putInt(slot).putLong(bits);
            }
        }
        for (String name : new String[] {m.campsite(), setup, m.carrier(), m.trial()}) {
            buffer.put(name.getBytes(StandardCharsets.UTF_8)).put((byte) 0);
        }
        MessageDigest digest = DIGEST.get();
        digest.update(buffer.array(), 0, buffer.position());
        ByteBuffer hash = ByteBuffer.wrap(digest.digest());
        return new Fingerprint(hash.getLong(), hash.getLong());
    }
}
