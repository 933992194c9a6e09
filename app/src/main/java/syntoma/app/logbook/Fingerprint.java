package syntoma.app.logbook;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import syntoma.core.reading.Quantity;

/**
 * 128 bits over what makes two rows the same measurement: time, campsite, setup, carrier, trial, round and every metric.
 */
record Fingerprint(long high, long low) {
    private static final ThreadLocal<MessageDigest> DIGEST = ThreadLocal.withInitial(() -> {
        try {
            return MessageDigest.getInstance("MD5");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    });

    static Fingerprint of(NewMeasurement m) {
        ByteBuffer buffer = ByteBuffer.allocate(128 + 4 * (4 * 120 + 4));
        Instant at = m.takenAt().toInstant();
        buffer.putLong(at.getEpochSecond())
                .putInt(at.getNano())
                .putInt(m.round().orElse(-1));
        for (Quantity quantity : Quantity.values()) {
            buffer.putLong(m.numbers().bits(quantity));
        }
        for (String name : new String[] {m.campsite(), m.setup(), m.carrier(), m.trial()}) {
            buffer.put(name.getBytes(StandardCharsets.UTF_8)).put((byte) 0);
        }
        MessageDigest digest = DIGEST.get();
        digest.update(buffer.array(), 0, buffer.position());
        ByteBuffer hash = ByteBuffer.wrap(digest.digest());
        return new Fingerprint(hash.getLong(), hash.getLong());
    }
}
