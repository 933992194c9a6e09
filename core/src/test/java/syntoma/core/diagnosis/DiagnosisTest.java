package syntoma.core.diagnosis;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import syntoma.core.diagnosis.Claim.Cause;
import syntoma.core.diagnosis.Planted.Shows;
import syntoma.core.diagnosis.Planted.Where;
import syntoma.core.trial.Outcome;

/** Situations with a cause that was planted, or with none: each cause is found, and little else is claimed. */
class DiagnosisTest {
    private static final double NONE = Double.NaN;
    private static final Shows FINE = Shows.FINE;

    private record Row(String says, Planted planted, Set<Cause> causes) {}

    private final List<Row> rows = new ArrayList<>();

    private Planted plant(String says, Cause... causes) {
        Planted planted = new Planted(rows.size());
        Set<Cause> expected = EnumSet.noneOf(Cause.class);
        expected.addAll(List.of(causes));
        rows.add(new Row(says, planted, expected));
        return planted;
    }

    private void plantAll() {
        plant("all is well").runs(5, FINE);
        plant("one good run").runs(1, FINE);
        plant("nothing measured");
        plant("strong and fast").runs(6, FINE.level(-72, 22).speeds(90, 30));
        plant("thin, and as fast as that is").runs(5, FINE.level(-100, 8).speeds(15, 4));
        plant("another SIM is capped, this one is not")
                .runs(5, FINE)
                .runs(4, FINE.speeds(24, 12), Where.NOW.on("Brissa").asFlat(), 2);
        plant("evenings like mornings").runs(5, FINE).runs(6, FINE, Where.NOW, 10);
        plant("one run failed").runs(4, FINE, Where.NOW, 2).failed(1, Outcome.TIMED_OUT);
        plant("other setup is weak").runs(4, FINE).runs(4, FINE.level(-115, 2), Where.NOW.with("Whips"), 1);
        plant("booster on and well").booster("").runs(5, FINE.level(-80, 14).speeds(20, 8));

        plant("no service at all", Cause.NO_SERVICE).failed(3, Outcome.NO_SERVICE);
        plant("no service, another carrier works", Cause.NO_SERVICE)
                .failed(4, Outcome.NO_SERVICE)
                .runs(3, FINE, Where.NOW.on("Ostrel"), 1);
        plant("it failed with nothing to hear", Cause.NO_SERVICE).failed(3, Outcome.FAILED);
        plant("a phone outside shows nothing", Cause.NO_SERVICE).phone(-124, -124);

        plant("weak everywhere", Cause.WEAK_OUTSIDE).runs(4, FINE.level(-115, 1).speeds(3, 0.6));
        plant("weak by the phone too", Cause.WEAK_OUTSIDE)
                .phone(-117, NONE)
                .runs(3, FINE.level(-113, 2).speeds(4, 0.7));
        plant("weak by the phone, nothing measured", Cause.WEAK_OUTSIDE).phone(-116, NONE);
        plant("weak with both setups", Cause.WEAK_OUTSIDE)
                .runs(3, FINE.level(-114, 0).speeds(4, 0.9))
                .runs(3, FINE.level(-119, -2).speeds(2, 0.4), Where.NOW.with("Whips"), 1);

        plant("walls of steel", Cause.LOST_IN_SHELL)
                .chain(true, 0, 2)
                .phone(-90, -106)
                .runs(3, FINE.level(-105, 6).speeds(8, 3));
        plant("walls of aluminium", Cause.LOST_IN_SHELL).chain(true, 0, 2).phone(-85, -107);
        plant("an antenna outside does not mind the walls").phone(-90, -108).runs(4, FINE);
        plant("walls of wood").chain(true, 0, 2).phone(-92, -96).runs(3, FINE);

        plant("loud and not clean", Cause.INTERFERENCE)
                .runs(4, FINE.level(-84, 1).speeds(8, 8));
        plant("loud and dirty, once", Cause.INTERFERENCE)
                .runs(1, FINE.level(-88, -2).speeds(5, 6));
        plant("weak and not clean is weak", Cause.WEAK_OUTSIDE)
                .runs(4, FINE.level(-114, -1).speeds(3, 0.6));

        plant("clean and slow", Cause.BUSY_CELL).runs(5, FINE.level(-85, 16).speeds(6, 9));
        plant("clean and slow, few runs", Cause.BUSY_CELL)
                .runs(2, FINE.level(-80, 20).speeds(5, 8));
        plant("evenings are slow", Cause.BUSY_CELL)
                .runs(4, FINE.speeds(14, 9))
                .runs(5, FINE.speeds(40, 12), Where.NOW, 10);
        plant("evenings are slow, and slower than the signal would carry", Cause.BUSY_CELL)
                .runs(4, FINE.level(-85, 17).speeds(7, 6))
                .runs(5, FINE.level(-85, 17).speeds(44, 12), Where.NOW, 10);
        plant("evenings are slow, asked in the morning")
                .at(OffsetDateTime.parse("2026-08-20T09:30:00+03:00"))
                .runs(4, FINE.speeds(40, 12))
                .runs(4, FINE.speeds(14, 9), Where.NOW, 12.5);
        plant("slower in the evening because it is weaker then")
                .runs(4, FINE.level(-103, 7).speeds(13, 4))
                .runs(5, FINE.level(-92, 12).speeds(36, 9), Where.NOW, 10);

        plant("a narrow cell that does what it can").runs(5, FINE.level(-90, 12).speeds(20, 8));
        plant("two carriers are slow at once", Cause.SLOW_ON_TWO)
                .runs(3, FINE.level(-85, 16).speeds(4, 3))
                .runs(1, FINE.level(-88, 15).speeds(3, 3), Where.NOW.on("Ostrel"), 1.3);
        plant("two carriers are slow at once, after two runs", Cause.SLOW_ON_TWO)
                .runs(2, FINE.level(-80, 18).speeds(5, 4))
                .runs(2, FINE.level(-84, 14).speeds(2, 2), Where.NOW.on("Brissa"), 1);
        plant("the other carrier is slow because it is weak", Cause.BUSY_CELL)
                .runs(3, FINE.level(-85, 16).speeds(5, 4))
                .runs(1, FINE.level(-114, 1).speeds(3, 1), Where.NOW.on("Ostrel"), 1.3);

        plant("heard well, and nothing gets through", Cause.NO_DATA).failedAt(3, Outcome.FAILED, -88);
        plant("heard well, and it times out", Cause.NO_DATA).failedAt(2, Outcome.TIMED_OUT, -95);
        plant("one of many failed at a good level").runs(4, FINE, Where.NOW, 2).failedAt(1, Outcome.FAILED, -90);

        plant("more goes up than comes down", Cause.UPLOAD_ABOVE_DOWNLOAD)
                .runs(4, FINE.level(-92, 9).speeds(14, 27));
        plant("more goes up than comes down, twice", Cause.UPLOAD_ABOVE_DOWNLOAD)
                .runs(2, FINE.level(-95, 8).speeds(11, 22));
        plant("as much up as down").runs(4, FINE.speeds(22, 24));

        plant("late when nothing is sent", Cause.LATE_WHEN_IDLE).runs(4, FINE.late(210, 280));
        plant("late when nothing is sent, twice", Cause.LATE_WHEN_IDLE).runs(2, FINE.late(160, 250));
        plant("satellite is late by nature").bySatellite().runs(4, FINE.late(600, 700));

        plant("the Wi-Fi ends where the runs do", Cause.OWN_WIFI)
                .runs(3, FINE.speeds(9, 7), Where.NOW.overWifi(10, 8), 1);
        plant("the router alone is faster", Cause.OWN_WIFI)
                .runs(3, FINE, Where.NOW, 2)
                .runs(1, FINE.speeds(11, 9), Where.NOW.overWifi(12, 11), 1);
        plant("the Wi-Fi has room").runs(4, FINE, Where.NOW.overWifi(180, 150), 1);

        plant("flat runs agree", Cause.CAPPED)
                .runs(3, FINE.level(-80, 20).speeds(24, 23.9), Where.NOW.asFlat(), 1)
                .runs(3, FINE.speeds(24, 23.9), Where.NOW.at(2).asFlat(), 90);
        plant("the sheet says so too", Cause.CAPPED)
                .plan(24, NONE, 0)
                .runs(3, FINE.level(-80, 20).speeds(24, 11), Where.NOW.asFlat(), 1)
                .runs(3, FINE.speeds(24, 11), Where.NOW.with("Whips").asFlat(), 4);
        plant("without curves all end at one rate", Cause.CAPPED)
                .runs(4, FINE.level(-82, 18).speeds(24, NONE), Where.NOW.asFlat(), 1)
                .runs(4, FINE.level(-90, 12).speeds(24, NONE), Where.NOW.at(3).asFlat(), 80);
        plant("a cap that is not reached here").plan(60, NONE, 0).runs(5, FINE.speeds(30, 9));

        plant("the mast does not hear", Cause.UPLINK_LIMITED)
                .runs(4, FINE.level(-108, 9).speeds(28, 1.2));
        plant("the mast does not hear, at the edge", Cause.UPLINK_LIMITED)
                .runs(3, FINE.level(-109, 8).speeds(25, 1.1));

        plant("the other band is faster", Cause.WRONG_BAND)
                .runs(3, FINE.speeds(30, 10).level(-92, 12), Where.NOW.in("B20"), 4)
                .runs(4, FINE.speeds(15, 5).level(-95, 9), Where.NOW.in("B3"), 1);
        plant("the band held is the better one")
                .runs(3, FINE.speeds(15, 5).level(-95, 9), Where.NOW.in("B20"), 5)
                .runs(3, FINE.speeds(30, 10), Where.NOW.in("B3"), 1);

        plant("two leads, one stream", Cause.STREAMS_LOST).chain(false, 2, 1).runs(4, FINE.speeds(30, 10));
        plant("one lead, one stream").chain(false, 1, 1).runs(4, FINE.speeds(25, 10));

        plant("beneath its sheet", Cause.CHAIN_FAULT)
                .shortBy(8)
                .runs(4, FINE.level(-101, 7).speeds(14, 5));
        plant("worse since some day", Cause.CHAIN_FAULT).runs(3, FINE);
        connector(rows.get(rows.size() - 1).planted, 7, 0);
        plant("less since some day, by the whole trip", Cause.CHAIN_FAULT)
                .runs(3, FINE)
                .hearsLess(LocalDate.of(2026, 8, 9), 8.2);
        plant("as good as ever").runs(3, FINE);
        connector(rows.get(rows.size() - 1).planted, 0, 0);
        plant("the place became worse, not the chain").runs(3, FINE);
        connector(rows.get(rows.size() - 1).planted, 8, 7);

        plant("it oscillates", Cause.BOOSTER_TROUBLE)
                .booster("oscillation on B20")
                .runs(3, FINE.speeds(12, 4));
        plant("nothing to lift", Cause.BOOSTER_TROUBLE, Cause.NO_SERVICE)
                .booster("")
                .failed(3, Outcome.NO_SERVICE)
                .runs(3, FINE.level(-116, 0).speeds(2, 0.5), Where.NOW.with("Roof dome"), 1);
        plant("nothing to lift, by the phone", Cause.BOOSTER_TROUBLE, Cause.NO_SERVICE)
                .booster("")
                .phone(-122, NONE)
                .failed(3, Outcome.FAILED);

        plant("late under load", Cause.LATENCY_UNDER_LOAD).runs(4, FINE.late(45, 480));
        plant("late under load, once", Cause.LATENCY_UNDER_LOAD).runs(1, FINE.late(40, 300));
        plant("a rise that nobody minds").runs(4, FINE.late(45, 190));

        plant("the data is gone", Cause.ALLOWANCE_USED_UP)
                .plan(NONE, 100, 104)
                .runs(3, FINE.speeds(0.5, 0.5).level(-85, 16));
        plant("data left").plan(NONE, 100, 61).runs(4, FINE);
    }

    /** At another campsite both setups are read for days; from the third on this one hears so much less, and the others less too. */
    private static void connector(Planted planted, double lost, double others) {
        Where there = Where.NOW.at(20);
        for (int day = 0; day < 6; day++) {
            double since = day >= 3 ? 1 : 0;
            planted.runs(3, FINE.level(-90 - since * lost, 14), there, 24.0 * (20 - day));
            planted.runs(2, FINE.level(-96 - since * others, 12), there.with("Whips"), 24.0 * (20 - day) + 1);
        }
    }

    @Test
    void what_is_planted_is_found_and_little_else_is_claimed() {
        plantAll();
        assertTrue(rows.size() >= 40, rows.size() + " situations");
        int claims = 0;
        List<String> wrong = new ArrayList<>();
        List<String> missed = new ArrayList<>();
        Set<Cause> found = EnumSet.noneOf(Cause.class);
        for (Row row : rows) {
            Set<Cause> claimed = Diagnosis.of(row.planted.situation()).claims().stream()
                    .map(Claim::cause)
                    .collect(Collectors.toCollection(() -> EnumSet.noneOf(Cause.class)));
            claims += claimed.size();
            claimed.stream().filter(c -> !row.causes.contains(c)).forEach(c -> wrong.add(row.says + ": " + c.label()));
            row.causes.stream().filter(c -> !claimed.contains(c)).forEach(c -> missed.add(row.says + ": " + c.label()));
            claimed.stream().filter(row.causes::contains).forEach(found::add);
        }
        assertEquals(List.of(), missed);
        assertEquals(EnumSet.allOf(Cause.class), found);
        assertTrue(wrong.size() * 10 <= claims, wrong + " of " + claims);
    }

    /** Sound logs of up to twelve stays, parked elsewhere each time, so that every antenna’s level moves by some dB of its own. */
    @Test
    void parking_elsewhere_is_no_fault() {
        int claimed = 0;
        int logs = 400;
        for (int log = 0; log < logs; log++) {
            claimed += Diagnosis.of(parkedElsewhere(log).situation()).claims().stream()
                            .anyMatch(c -> c.cause() == Cause.CHAIN_FAULT)
                    ? 1
                    : 0;
        }
        assertTrue(claimed <= logs / 100, claimed + " of " + logs);
    }

    private static Planted parkedElsewhere(int seed) {
        Random random = new Random(seed);
        Planted planted = new Planted(seed);
        int stays = 8 + random.nextInt(5);
        for (int stay = 0; stay < stays; stay++) {
            long campsite = 40 + stay % 5;
            double place = -92 + 4 * random.nextGaussian();
            Where there = new Where("Mast panel", "Tarnwave", campsite, 100 + stay, "B3", false, Optional.empty());
            double ago = 24.0 * 4 * (stays - stay);
            planted.runs(12, FINE.level(place + 4 + 4 * random.nextGaussian(), 12), there, ago);
            planted.runs(12, FINE.level(place + 4 * random.nextGaussian(), 12), there.with("Whips"), ago);
        }
        return planted;
    }

    @Test
    void a_claim_gives_its_figures_when_and_with_what_and_what_to_do() {
        Diagnosis busy = Diagnosis.of(new Planted(1)
                .runs(4, FINE.level(-88, 10.5).speeds(14, 9))
                .runs(5, FINE.level(-88, 10.5).speeds(40, 12), Where.NOW, 10)
                .situation());
        Claim claim = busy.claims().get(0);
        assertEquals("The cell is busy with others in the evenings.", claim.says());
        assertTrue(
                claim.evidence()
                        .get(0)
                        .matches("evenings here are slower than mornings by ×[23][.][0-9] at the same level [(]. .*"),
                claim.evidence().toString());
        assertTrue(claim.next().contains("at night or early in the morning"));
        assertEquals(Telling.How.MORNING, busy.telling().orElseThrow().how());
    }

    @Test
    void without_evidence_nothing_is_claimed_and_that_is_said() {
        Situation empty = new Planted(1).situation();
        assertTrue(Diagnosis.of(empty).claims().isEmpty());
        assertEquals(
                "Nothing was measured here lately with Mast panel on Tarnwave; measure once, then ask again.",
                Diagnosis.nothing(empty));
        Situation fine = new Planted(1).runs(4, FINE).situation();
        assertEquals("Nothing looks wrong: this is what this cell gives at this hour.", Diagnosis.nothing(fine));
        assertFalse(Diagnosis.of(fine).telling().isPresent());
    }

    @Test
    void two_causes_that_look_alike_come_with_the_measurement_that_tells_them_apart() {
        Diagnosis both = Diagnosis.of(new Planted(2)
                .runs(4, FINE.level(-85, 16).speeds(6, 9).late(45, 480))
                .situation());
        Telling telling = both.telling().orElseThrow();
        assertEquals(Cause.BUSY_CELL, telling.one());
        assertEquals(Cause.LATENCY_UNDER_LOAD, telling.other());
        assertTrue(telling.says().startsWith("Run once before seven"));
    }
}
