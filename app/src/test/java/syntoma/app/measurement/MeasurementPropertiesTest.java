package syntoma.app.measurement;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What holds for every time and fingerprint. */
class MeasurementPropertiesTest {
    @Property(tries = 50)
    void a_set_of_fingerprints_is_a_set(@ForAll long seed, @ForAll @IntRange(min = 1, max = 20_000) int many) {
        Random random = new Random(seed);
        FingerprintSet own = new FingerprintSet();
        Set<List<Long>> reference = new HashSet<>();
        for (int i = 0; i < many; i++) {
            long high = 1 + random.nextInt(60);
            long low = random.nextInt(200);
            assertEquals(reference.add(List.of(high, low)), own.add(high, low));
        }
    }

    @Property
    void every_time_that_is_written_is_read(
            @ForAll @IntRange(min = 0, max = 1_500_000_000) int seconds,
            @ForAll @IntRange(min = -18 * 60, max = 18 * 60) int minutes) {
        OffsetDateTime time = OffsetDateTime.of(2001, 1, 1, 0, 0, 0, 0, ZoneOffset.ofTotalSeconds(60 * minutes))
                .plusSeconds(seconds);
        assertEquals(time, Times.parse(time.toString()));
    }
}
