package syntoma.core.finding;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.hipparchus.distribution.continuous.TDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import syntoma.core.reading.Figure;
import syntoma.core.verdict.Verdict;

class FinderTest {
    private static final Criterion UP = Criterion.of(Figure.UP_MBPS);
    private static final Criterion RSRP = Criterion.of(Figure.RSRP_DBM);

    @Test
    void twoSetupsAreComparedWithinBlocksByHand() {
        // within stays B has 2, 3, 4 and 1 dB more: mean 2.5; deviations −.5 .5 1.5 −1.5, squares 5;
        // each block halves them in the sandwich: SE = √(5/16 · 4/3)
        ListedTrip trip = new ListedTrip();
        double[] more = {2, 3, 4, 1};
        for (int s = 0; s < 4; s++) {
            trip.run(s * 10_000, s, "A", -100 + s).run(s * 10_000 + 60, s, "B", -100 + s + more[s]);
        }
        Finding finding = trip.find(RSRP, "A");
        Contrast b = finding.unit("B").effect();
        double half = new TDistribution(3).inverseCumulativeProbability(0.975) * Math.sqrt(5 / 16.0 * 4 / 3);
        assertEquals(4, finding.blocks());
        assertEquals(4, finding.stays());
        assertEquals(2.5, b.estimate().getAsDouble(), 1e-12);
        assertEquals(2.5 - half, b.low().getAsDouble(), 1e-9);
        assertEquals(2.5 + half, b.high().getAsDouble(), 1e-9);
        assertEquals(Verdict.BETTER, b.verdict());
    }

    @Test
    void theSixtiethMinuteIsInsideAndTheNextIsNot() {
        ListedTrip inside = new ListedTrip().run(0, 1, "A", 2).run(60, 1, "B", 4);
        ListedTrip outside = new ListedTrip().run(0, 1, "A", 2).run(60.001, 1, "B", 4);
        assertEquals(2, inside.find(UP, "A").unit("B").effect().estimate().getAsDouble(), 1e-12);
        assertTrue(outside.find(UP, "A").unit("B").effect().estimate().isEmpty());
    }

    @Test
    void severalRunsOfASetupInABlockCountAsTheirMedianOnTheScale() {
        ListedTrip trip = new ListedTrip().run(0, 1, "A", 1).run(1, 1, "B", 2).run(2, 1, "B", 8);
        assertEquals(4, trip.find(UP, "A").unit("B").effect().estimate().getAsDouble(), 1e-12);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    void underFourStaysNothingIsClaimed(int stays) {
        ListedTrip trip = new ListedTrip();
        for (int s = 0; s < stays; s++) {
            trip.run(s * 10_000, s, "A", 2).run(s * 10_000 + 5, s, "B", 6 + s);
        }
        Contrast b = trip.find(UP, "A").unit("B").effect();
        assertEquals(Verdict.TOO_FEW, b.verdict());
        assertTrue(b.low().isEmpty());
        assertTrue(b.estimate().isPresent());
        assertEquals(4 - stays, b.staysWanted().getAsInt());
    }

    @Test
    void ofASetupAtOneStayNothingIsClaimedHoweverManyStaysTheOthersHave() {
        ListedTrip trip = new ListedTrip();
        for (int s = 0; s < 9; s++) {
            trip.run(s * 10_000, s, "A", 2).run(s * 10_000 + 5, s, "B", 3 + s % 3);
        }
        trip.run(10, 0, "C", 9);
        Finding.Unit c = trip.find(UP, "A").unit("C");
        assertEquals(Verdict.TOO_FEW, c.effect().verdict());
        assertTrue(c.sentence().contains("1 stay;"));
        assertTrue(c.sentence().contains("three more stays"));
    }

    @Test
    void whatNoBlockLinksToTheBaselineHasNoEstimate() {
        ListedTrip trip = new ListedTrip();
        for (int s = 0; s < 5; s++) {
            trip.run(s * 10_000, s, "A", 2).run(s * 10_000 + 5, s, "B", 3);
            trip.run(s * 10_000 + 500, s, "C", 3).run(s * 10_000 + 505, s, "D", 6);
        }
        Finding finding = trip.find(UP, "A");
        assertTrue(finding.unit("D").effect().estimate().isEmpty());
        assertTrue(finding.unit("D").adjustedRank().isEmpty());
        assertEquals(6, finding.unit("D").plainMean().getAsDouble(), 1e-12);
        assertEquals(5, finding.blocks());
        assertTrue(finding.unit("D").sentence().contains("nothing can be said"));
    }

    @Test
    void aSetupIsHeldAgainstTheBaselineThroughOthers() {
        // A never met C: B is twice A, C three times B
        ListedTrip trip = new ListedTrip();
        for (int s = 0; s < 4; s++) {
            trip.run(s * 20_000, s, "A", 2 + s).run(s * 20_000 + 5, s, "B", 2 * (2 + s));
            trip.run(s * 20_000 + 900, s + 100, "B", 1).run(s * 20_000 + 905, s + 100, "C", 3);
        }
        assertEquals(6, trip.find(UP, "A").unit("C").effect().estimate().getAsDouble(), 1e-9);
    }

    @Test
    void theAveragesTrapIsToldInASentence() {
        // B is half as good again wherever both are used, but A stood at the fast places alone
        ListedTrip trip = new ListedTrip();
        for (int s = 0; s < 6; s++) {
            trip.run(s * 10_000, s, "A", 2 + 0.1 * s).run(s * 10_000 + 5, s, "B", 3.2 + 0.1 * s);
            trip.run(s * 10_000 + 3000, 50 + s, "A", 40 + s);
        }
        Finding finding = trip.find(UP, "A");
        assertEquals(1, finding.unit("A").plainRank().getAsInt());
        assertEquals(2, finding.unit("A").adjustedRank().getAsInt());
        assertEquals(
                List.of("averages-mislead", "rank-differs", "rank-differs"),
                finding.remarks().stream().map(Finding.Remark::code).toList());
        assertEquals(
                "Plain averages mislead here: they put A first, but at the same places and times B is ahead."
                        + " A was mostly used at strong sites.",
                finding.remarks().get(0).sentence());
    }

    @Test
    void whereRanksAgreeNothingIsRemarked() {
        ListedTrip trip = new ListedTrip();
        for (int s = 0; s < 6; s++) {
            trip.run(s * 10_000, s, "A", 2 + s).run(s * 10_000 + 5, s, "B", 3 + s);
        }
        assertTrue(trip.find(UP, "A").remarks().isEmpty());
    }

    @Test
    void tiesShareTheirRank() {
        ListedTrip trip = new ListedTrip();
        for (int s = 0; s < 4; s++) {
            trip.run(s * 10_000, s, "A", 2).run(s * 10_000 + 5, s, "B", 4);
            trip.run(s * 10_000 + 6, s, "C", 4).run(s * 10_000 + 7, s, "D", 1);
        }
        Finding finding = trip.find(UP, "A");
        assertEquals(
                List.of(3, 1, 1, 4),
                finding.units().stream().map(u -> u.plainRank().orElse(0)).toList());
    }

    @Test
    void anAntennaThatHelpsInWeakPlacesOnlyShowsAsThat() {
        ListedTrip trip = new ListedTrip();
        Random random = new Random(3);
        for (int s = 0; s < 8; s++) {
            trip.at(s * 10_000, s, "A", 20 * Math.exp(random.nextGaussian() * .05), -85)
                    .at(s * 10_000 + 5, s, "B", 20 * Math.exp(random.nextGaussian() * .05), -80);
            trip.at(s * 10_000 + 5000, 50 + s, "A", 2 * Math.exp(random.nextGaussian() * .05), -112)
                    .at(s * 10_000 + 5005, 50 + s, "B", 6 * Math.exp(random.nextGaussian() * .05), -104);
        }
        trip.run(900_000, 99, "A", 1).run(900_001, 99, "B", 2);
        Finding finding = trip.find(UP, "A");
        Map<Strength, Contrast> by = finding.unit("B").byStrength();
        assertEquals(Verdict.NO_DIFFERENCE, by.get(Strength.STRONG_GOOD).verdict());
        assertEquals(Verdict.BETTER, by.get(Strength.WEAK_NONE).verdict());
        assertTrue(by.get(Strength.WEAK_NONE).estimate().getAsDouble() >= 2.7
                && by.get(Strength.WEAK_NONE).estimate().getAsDouble() <= 3.3);
        assertEquals(Verdict.TOO_FEW, by.get(Strength.FAIR).verdict());
        assertEquals(0, by.get(Strength.FAIR).blocks());
        assertEquals(1, finding.withoutStrength());
    }

    @Test
    void theFasterThatFailsIsLessReliable() {
        ListedTrip trip = new ListedTrip();
        for (int s = 0; s < 16; s++) {
            trip.run(s * 10_000, s, "A", 2 + s % 2);
            if (s < 8) {
                trip.run(s * 10_000 + 5, s, "B", 6 + s % 2);
            } else {
                trip.failed(s * 10_000 + 5, s, "B");
            }
        }
        assertEquals(
                Verdict.LESS_RELIABLE, trip.find(UP, "A").unit("B").effect().verdict());
    }

    @Test
    void whatBothArePlannedOrHeldToCannotRankThem() {
        ListedTrip trip = new ListedTrip();
        for (int s = 0; s < 5; s++) {
            trip.run(s * 10_000, s, "A", 20).run(s * 10_000 + 5, s, "B", 20.1);
        }
        Finding finding = new Finder(trip, UP, trip.names(), "A", List.of("A", "B")).find();
        assertEquals(Verdict.CAPPED, finding.unit("B").effect().verdict());
        assertEquals(
                Verdict.NO_DIFFERENCE,
                new Finder(trip, UP, trip.names(), "A", List.of("B"))
                        .find()
                        .unit("B")
                        .effect()
                        .verdict());
    }

    @Test
    void aBaselineThatIsNotThereIsRefused() {
        ListedTrip trip = new ListedTrip().run(0, 0, "A", 2);
        assertTrue(assertThrows(IllegalArgumentException.class, () -> trip.find(UP, "Z"))
                .getMessage()
                .contains("baseline is Z"));
    }

    @Test
    void fiftyRandomUnbalancedLogsAgreeWithATextbookToTheNinthDigit() {
        for (int seed = 0; seed < 50; seed++) {
            agrees(new Random(seed), seed);
        }
    }

    private static void agrees(Random random, int seed) {
        int units = 2 + random.nextInt(5);
        int stays = 12 + random.nextInt(14);
        ListedTrip trip = new ListedTrip();
        List<Textbook.Cell> cells = new ArrayList<>();
        double[] truth = random.doubles(units, -1, 1).toArray();
        List<String> names = new ArrayList<>();
        for (int unit = 0; unit < units; unit++) {
            names.add("setup " + unit);
        }
        int block = 0;
        for (int stay = 0; stay < stays; stay++) {
            double place = random.nextGaussian();
            for (int b = 0; b < 1 + random.nextInt(4); b++) {
                Map<Integer, Double> in = new HashMap<>();
                // the first two links all to the baseline
                in.put(0, 0.0);
                if (stay == 0 && b == 0) {
                    for (int unit = 1; unit < units; unit++) {
                        in.put(unit, 0.0);
                    }
                }
                for (int k = 0; k < random.nextInt(units + 1); k++) {
                    in.put(random.nextInt(units), 0.0);
                }
                double drift = random.nextGaussian() * .3;
                int minute = 0;
                for (int unit : in.keySet()) {
                    double value = Math.exp(truth[unit] + place + drift + random.nextGaussian() * .3);
                    trip.run(stay * 20_000 + b * 300 + minute++, stay, names.get(unit), value);
                    if (in.size() > 1) {
                        cells.add(new Textbook.Cell(block, stay, unit, Math.log(value)));
                    }
                }
                block += in.size() > 1 ? 1 : 0;
            }
        }
        Finding finding = new Finder(new Renumbered(trip, names), UP, names, names.get(0), List.of()).find();
        Textbook textbook = new Textbook(cells, block, units);
        assertEquals(block, finding.blocks());
        for (int unit = 1; unit < units; unit++) {
            Contrast c = finding.unit(names.get(unit)).effect();
            assertEquals(textbook.effects[unit], Math.log(c.estimate().getAsDouble()), 1e-9);
            if (c.stays() < 2) {
                assertTrue(c.low().isEmpty());
                continue;
            }
            double t = new TDistribution(textbook.degrees[unit]).inverseCumulativeProbability(0.975);
            double half = t * Math.max(textbook.errors[unit], 0.02 / Math.sqrt(c.blocks()));
            assertEquals(textbook.effects[unit] - half, Math.log(c.low().getAsDouble()), 1e-9);
            assertEquals(textbook.effects[unit] + half, Math.log(c.high().getAsDouble()), 1e-9);
        }
    }

    /** The same trip with its units numbered by another list of names. */
    private static final class Renumbered implements Trip {
        private final ListedTrip trip;
        private final int[] numbers;

        private Renumbered(ListedTrip trip, List<String> names) {
            this.trip = trip;
            numbers = trip.names().stream().mapToInt(names::indexOf).toArray();
        }

        @Override
        public int unit(int i) {
            return numbers[trip.unit(i)];
        }

        @Override
        public int size() {
            return trip.size();
        }

        @Override
        public long atNanos(int i) {
            return trip.atNanos(i);
        }

        @Override
        public long stay(int i) {
            return trip.stay(i);
        }

        @Override
        public int sim(int i) {
            return trip.sim(i);
        }

        @Override
        public int trial(int i) {
            return trip.trial(i);
        }

        @Override
        public int round(int i) {
            return trip.round(i);
        }

        @Override
        public boolean hasSucceeded(int i) {
            return trip.hasSucceeded(i);
        }

        @Override
        public double value(int i) {
            return trip.value(i);
        }

        @Override
        public double levelDbm(int i) {
            return trip.levelDbm(i);
        }
    }
}
