package syntoma.app.measurement;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.HexFormat;
import java.util.OptionalLong;
import java.util.regex.Pattern;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;

/**
 * What devices sent under a key of their own. A device that got no answer cannot know whether its measurement was stored; it
 * sends the same again under the same key, and the answer is the one that it would have had.
 */
@Component
@Transactional
class Deliveries {
    private static final Pattern KEY = Pattern.compile("[A-Za-z0-9-]{8,64}");

    /** Longer than any device waits with what it has to send. */
    private static final Duration KEPT = Duration.ofDays(400);

    /** Requests hold texts alone. */
    private static final ObjectMapper JSON = new ObjectMapper();

    private final EntityManager entities;
    private final Clock clock;

    Deliveries(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** What is being delivered: under which key, and what. */
    record DeliveryKey(String key, String print) {
        /** Reads a key as it was sent along; null means “not available”. */
        @Nullable
        static DeliveryKey of(@Nullable String key, Object request) {
            if (key == null) {
                return null;
            }
            if (!KEY.matcher(key).matches()) {
                throw new InvalidInputException(
                        "Idempotency-Key",
                        "Idempotency-Key has to be 8 to 64 letters, digits or hyphens, such as a UUID");
            }
            try {
                byte[] hash = MessageDigest.getInstance("SHA-256")
                        .digest(JSON.writeValueAsString(request).getBytes(StandardCharsets.UTF_8));
                return new DeliveryKey(key, HexFormat.of().formatHex(hash));
            } catch (NoSuchAlgorithmException | JsonProcessingException impossible) {
                throw new IllegalStateException(impossible);
            }
        }
    }

    /**
     * The measurement that was stored under the key.
     *
     * @throws ConflictException when the key came with another measurement
     */
    @Transactional(readOnly = true)
    public OptionalLong storedMeasurement(DeliveryKey sent) {
        Delivery known = entities.find(Delivery.class, sent.key());
        if (known == null) {
            return OptionalLong.empty();
        }
        if (!known.print.equals(sent.print())) {
            throw new ConflictException(
                    "Idempotency-Key", "this key came with another measurement already; a new one needs a new key");
        }
        return OptionalLong.of(known.measurementId);
    }

    /** Notes a measurement as stored, in the transaction that stores it. */
    public void note(DeliveryKey sent, long measurement) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        entities.createQuery("delete from Delivery d where d.at < :then")
                .setParameter("then", now.minus(KEPT))
                .executeUpdate();
        entities.persist(new Delivery(sent.key(), sent.print(), measurement, now));
    }
}
