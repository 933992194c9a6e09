package syntoma.core.finding;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Figure;

class ChangePointTest {
    @Test
    void aFallOfFourDbAfterTwelveStaysIsFoundWhereItIs() {
        Random random = new Random(1);
        double[] values = IntStream.range(0, 20)
                .mapToDouble(i -> (i < 12 ? 0 : -4) + random.nextGaussian())
                .toArray();
        ChangePoint change = ChangePoint.of(values).orElseThrow();
        assertTrue(change.first() >= 11 && change.first() <= 13);
        assertTrue(change.before() - change.after() >= 3.0 && change.before() - change.after() <= 5.0);
        assertTrue(change.p() < 0.01);
    }

    @Test
    void withoutAChangeOneInAHundredIsFlaggedAndNotMore() {
        Random random = new Random(7);
        int flagged = 0;
        for (int round = 0; round < 300; round++) {
            double[] values =
                    random.ints(14, 0, 1000).mapToDouble(i -> i / 100.0).toArray();
            flagged += ChangePoint.of(values).isPresent() ? 1 : 0;
        }
        // binomial with 1 % of 300: more than 9 comes up once in a thousand times
        assertTrue(flagged < 10);
    }

    @Test
    void ofAFewValuesOrEqualOnesNothingIsTold() {
        assertTrue(ChangePoint.of().isEmpty());
        assertTrue(ChangePoint.of(0, 0, 9, 9).isEmpty());
        assertTrue(ChangePoint.of(3, 3, 3, 3, 3, 3, 3, 3, 3, 3, 3, 3).isEmpty());
    }

    @Test
    void aLeadThatGoesBadShowsInItsSetupByDate() {
        ListedTrip trip = new ListedTrip();
        Random random = new Random(4);
        for (int s = 0; s < 18; s++) {
            double place = -100 + 10 * random.nextGaussian();
            trip.run(s * 5_000, s, "A", place + random.nextGaussian());
            trip.run(s * 5_000 + 5, s, "B", place + (s < 11 ? 6 : -1) + random.nextGaussian());
            trip.run(s * 5_000 + 9, s, "C", place + 2 + random.nextGaussian());
        }
        Drift b = Drift.of(trip, Criterion.of(Figure.RSRP_DBM), trip.names(), 0).get(1);
        assertEquals("B", b.unit());
        assertEquals(18, b.points().size());
        assertEquals(11, b.points().get(b.change().orElseThrow().first()).stay());
    }
}
