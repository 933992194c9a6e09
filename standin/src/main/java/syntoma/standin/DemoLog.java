package syntoma.standin;

import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import syntoma.standin.air.Hands;
import syntoma.standin.air.HeardCell;

/**
 * The log of Heron's nine-week loop in late summer, measured in the {@link World}. It holds on purpose: window whips that
 * look best in plain averages because they were used at the better sites; Brissa's plan that flattens out; Tarnwave's cells
 * at Quarry Lake and Lighthouse Meadow that are slow every evening; the roof dome's connector that goes bad in week six;
 * Bog Boardwalk, where the booster has nothing to boost; one wild run at Amber Spit; Juniper Ridge, where Ostrel is dead.
 */
public final class DemoLog {
    /** The seed of the demo data. */
    public static final long SEED = 20_260_704L;

    /** The demo's evening: the last stay, still going on. */
    public static final OngoingStay EVENING = new OngoingStay(
            "Lighthouse Meadow", World.MAST_PANEL, "Tarnwave", OffsetDateTime.parse("2026-09-01T14:20:00+02:00"));

    private static final String HEADER = "taken_at,campsite,lat,lon,setup,carrier,rat,band,arfcn,cell_id,rsrp_dbm,"
            + "rsrq_db,sinr_db,down_mbps,up_mbps,idle_ms,down_loaded_ms,up_loaded_ms,jitter_ms,loss_pct,server,outcome,"
            + "trial,round,note\n";
    private static final String SERVER = "harbour-1";
    private static final double WILD = 7;

    /** How long a run takes each way. */
    private static final double RUN_S = 10;

    /** Where even on the roof no more than this is heard, a failure is for want of service. */
    private static final double NO_SERVICE_DBM = -122;

    private final World world = new World(SEED);
    private final List<Row> rows = new ArrayList<>();
    private final List<Plan> plans = new ArrayList<>();

    private record Row(OffsetDateTime at, String line) {}

    private record Job(
            OffsetDateTime at, String place, String setup, String carrier, String trial, int round, String note) {}

    /** A trial planned before its first measurement. */
    public record Plan(String campsite, String name, int rounds) {}

    /** The last stay, still going on. */
    public record OngoingStay(String campsite, String setup, String carrier, OffsetDateTime since) {}

    private final List<Job> jobs = new ArrayList<>();

    private DemoLog() {
        stay("Saltmarsh Jetty", "2026-07-04T15:10:00+03:00", 6, "Tarnwave", World.ROOF_DOME, World.ROOF_DOME);
        carriers("Saltmarsh Jetty", "2026-07-05T09:40:00+03:00", 3, World.ROOF_DOME, "Tarnwave", "Ostrel", "Brissa");
        stay("Birch Hollow", "2026-07-10T13:30:00+03:00", 6, "Ostrel", World.WHIPS, World.WHIPS);
        trial("Birch Hollow", "Dome or whips", "2026-07-12T14:00:00+03:00", 4, "Ostrel", World.ROOF_DOME, World.WHIPS);
        carriers("Birch Hollow", "2026-07-13T09:20:00+03:00", 3, World.WHIPS, "Ostrel", "Tarnwave", "Brissa");
        stay("Sawmill Yard", "2026-07-16T16:40:00+03:00", 6, "Tarnwave", World.ROOF_DOME, World.MAST_PANEL);
        trial(
                "Sawmill Yard",
                "All three",
                "2026-07-18T10:20:00+03:00",
                5,
                "Tarnwave",
                World.ROOF_DOME,
                World.MAST_PANEL,
                World.WHIPS);
        carriers("Sawmill Yard", "2026-07-19T09:10:00+03:00", 3, World.ROOF_DOME, "Tarnwave", "Ostrel", "Brissa");
        stay("Quarry Lake", "2026-07-22T12:15:00+03:00", 7, "Tarnwave", World.MAST_PANEL, World.ROOF_DOME);
        trial("Quarry Lake", "Morning", "2026-07-24T09:05:00+03:00", 6, "Tarnwave", World.ROOF_DOME, World.MAST_PANEL);
        trial("Quarry Lake", "Evening", "2026-07-24T19:05:00+03:00", 6, "Tarnwave", World.ROOF_DOME, World.MAST_PANEL);
        stay("Bog Boardwalk", "2026-07-29T17:50:00+03:00", 4, "Tarnwave", World.MAST_PANEL, World.ROOF_DOME);
        trial(
                "Bog Boardwalk",
                "Is the booster any use",
                "2026-07-30T11:00:00+03:00",
                5,
                "Tarnwave",
                World.MAST_PANEL,
                World.BOOSTER);
        stay("Ferry Slip Four", "2026-08-02T11:25:00+03:00", 4, "Ostrel", World.WHIPS, World.WHIPS);
        carriers("Ferry Slip Four", "2026-08-03T10:10:00+03:00", 3, World.WHIPS, "Ostrel", "Tarnwave", "Brissa");
        stay("Quarry Lake", "2026-08-06T10:40:00+03:00", 2, "Tarnwave", World.MAST_PANEL, World.ROOF_DOME);
        stay("Juniper Ridge", "2026-08-08T14:45:00+02:00", 6, "Tarnwave", World.ROOF_DOME, World.MAST_PANEL);
        carriers("Juniper Ridge", "2026-08-09T10:30:00+02:00", 4, World.MAST_PANEL, "Tarnwave", "Ostrel");
        stay("Harbour Crane", "2026-08-14T13:05:00+02:00", 8, "Ostrel", World.WHIPS, World.WHIPS);
        carriers("Harbour Crane", "2026-08-16T15:00:00+02:00", 5, World.WHIPS, "Ostrel", "Brissa");
        stay("Amber Spit", "2026-08-22T16:00:00+02:00", 7, "Tarnwave", World.MAST_PANEL, World.ROOF_DOME);
        trial(
                "Amber Spit",
                "Dome again",
                "2026-08-24T11:10:00+02:00",
                8,
                "Tarnwave",
                World.ROOF_DOME,
                World.MAST_PANEL);
        carriers("Amber Spit", "2026-08-26T09:30:00+02:00", 3, World.MAST_PANEL, "Tarnwave", "Ostrel", "Brissa");
        stay("Harbour Crane", "2026-08-29T12:20:00+02:00", 3, "Ostrel", World.WHIPS, World.WHIPS);
        carriers("Harbour Crane", "2026-08-30T10:05:00+02:00", 4, World.WHIPS, "Ostrel", "Brissa", "Tarnwave");
        stay("Lighthouse Meadow", "2026-09-01T14:20:00+02:00", 4, "Tarnwave", World.ROOF_DOME, World.MAST_PANEL);
        carriers("Lighthouse Meadow", "2026-09-02T10:15:00+02:00", 3, World.MAST_PANEL, "Tarnwave", "Ostrel");
        trial(
                "Lighthouse Meadow",
                "Saturday evening",
                "2026-09-05T18:32:00+02:00",
                5,
                "Tarnwave",
                World.ROOF_DOME,
                World.MAST_PANEL);
        jobs.stream().sorted(Comparator.comparing(Job::at)).forEach(job -> measure(world, job));
        jobs.clear();
        // setups are numbered as they first come: the dome, the whips, the mast, the booster
        beside("Saltmarsh Jetty", "2026-07-06T11:35:00+03:00", "Tarnwave", World.ROOF_DOME, World.WHIPS);
        beside("Bog Boardwalk", "2026-07-30T15:40:00+03:00", "Tarnwave", World.ROOF_DOME, World.MAST_PANEL);
        beside("Ferry Slip Four", "2026-08-03T11:40:00+03:00", "Ostrel", World.WHIPS, World.ROOF_DOME);
        beside("Quarry Lake", "2026-08-06T11:50:00+03:00", "Tarnwave", World.ROOF_DOME, World.MAST_PANEL);
        beside("Juniper Ridge", "2026-08-10T11:40:00+02:00", "Tarnwave", World.ROOF_DOME, World.MAST_PANEL);
        beside("Harbour Crane", "2026-08-15T11:45:00+02:00", "Ostrel", World.WHIPS, World.ROOF_DOME);
        beside("Harbour Crane", "2026-08-30T11:45:00+02:00", "Ostrel", World.WHIPS, World.ROOF_DOME);
        // in a world of their own, so that they cannot change what else was measured
        World again = new World(SEED);
        jobs.stream().sorted(Comparator.comparing(Job::at)).forEach(job -> measure(again, job));
        rows.sort(Comparator.comparing(Row::at));
    }

    /** Generates the log; always the same. */
    public static DemoLog generate() {
        return new DemoLog();
    }

    /** The world it was measured in, to ask for the truth. */
    public World world() {
        return world;
    }

    /** The trials that were planned. */
    public List<Plan> plans() {
        return List.copyOf(plans);
    }

    /** All measurements as CSV. */
    public String csv() {
        StringBuilder text = new StringBuilder(HEADER);
        rows.forEach(row -> text.append(row.line()).append('\n'));
        return text.toString();
    }

    /** Where the vehicle is at the end. */
    public OngoingStay now() {
        return EVENING;
    }

    private void stay(String place, String from, int days, String carrier, String usual, String other) {
        OffsetDateTime arrival = OffsetDateTime.parse(from);
        int[] minutes = {
            7 * 60 + 25, 8 * 60 + 40, 10 * 60 + 50, 13 * 60 + 15, 15 * 60 + 5, 17 * 60 + 10, 19 * 60 + 20, 21 * 60 + 5
        };
        for (int day = 0; day < days; day++) {
            for (int i = 0; i < minutes.length; i++) {
                OffsetDateTime at = arrival.withHour(0)
                        .withMinute(0)
                        .withSecond(0)
                        .plusDays(day)
                        .plusMinutes(minutes[i] + (day * 17 + i * 11) % 23)
                        .plusSeconds((day * 31 + i * 7) % 60);
                if (at.isAfter(arrival)) {
                    String setup = (day + i) % 5 == 3 ? other : usual;
                    jobs.add(new Job(at, place, setup, carrier, "", 0, ""));
                }
            }
        }
    }

    private void trial(String place, String name, String from, int rounds, String carrier, String... setups) {
        plans.add(new Plan(place, name, rounds));
        OffsetDateTime at = OffsetDateTime.parse(from);
        for (int round = 1; round <= rounds; round++) {
            for (int i = 0; i < setups.length; i++) {
                String setup = setups[round % 2 == 1 ? i : setups.length - 1 - i];
                jobs.add(new Job(at, place, setup, carrier, name, round, ""));
                at = at.plusMinutes(i == setups.length - 1 ? 4 : 13).plusSeconds(round * 7L);
            }
        }
    }

    private void carriers(String place, String from, int times, String setup, String... carriers) {
        OffsetDateTime at = OffsetDateTime.parse(from);
        for (int time = 0; time < times; time++) {
            for (String carrier : carriers) {
                jobs.add(new Job(at, place, setup, carrier, "", 0, "comparing carriers"));
                at = at.plusMinutes(5);
            }
            at = at.plusHours(3);
        }
    }

    /** Two setups once after the other, and the same some hours later. */
    private void beside(String place, String from, String carrier, String... setups) {
        OffsetDateTime at = OffsetDateTime.parse(from);
        for (int time = 0; time < 2; time++) {
            for (String setup : setups) {
                jobs.add(new Job(at, place, setup, carrier, "", 0, "one after the other"));
                at = at.plusMinutes(11);
            }
            at = at.plusMinutes(198);
        }
    }

    private void measure(World in, Job job) {
        Optional<Air> heard = in.measure(Hands.of(job.place(), job.setup(), job.carrier()), job.at());
        boolean fails = in.failsRarely();
        Optional<Air> air = heard.filter(there -> !fails);
        Place place = world.place(job.place());
        boolean wild = job.trial().equals("Dome again")
                && job.round() == 4
                && job.setup().equals(World.MAST_PANEL);
        String start = String.format(
                Locale.ROOT,
                "%s,%s,%.4f,%.4f,%s,%s",
                job.at(),
                job.place(),
                place.lat(),
                place.lon(),
                job.setup(),
                job.carrier());
        String numbers = air.map(a -> heard(a) + ran(a, wild))
                .orElseGet(() -> ",LTE,,,,,,,,,,,,,," + SERVER + ","
                        + (world.outsideLevelDbm(job.place(), job.carrier()) < NO_SERVICE_DBM
                                ? "no_service"
                                : "failed"));
        String end = String.format(
                Locale.ROOT,
                ",%s,%s,%s",
                job.trial(),
                job.round() == 0 ? "" : Integer.toString(job.round()),
                job.note());
        air.ifPresent(a -> in.use(job.carrier(), job.at(), (a.downMbps() + a.upMbps()) * RUN_S / 8e3));
        rows.add(new Row(job.at(), start + numbers + end));
    }

    private static String heard(Air air) {
        HeardCell primary = air.primary();
        return String.format(
                Locale.ROOT,
                ",%s,%s,%d,%s,%.0f,%.1f,%.1f",
                air.mode(),
                primary.cell().channel().band(),
                primary.cell().channel().number(),
                primary.cell().id(),
                primary.rsrpDbm(),
                primary.rsrqDb(),
                primary.sinrDb());
    }

    private static String ran(Air air, boolean wild) {
        return String.format(
                Locale.ROOT,
                ",%.1f,%.2f,%.0f,%.0f,%.0f,%.1f,%.1f,%s,ok",
                air.downMbps(),
                wild ? air.upMbps() * WILD : air.upMbps(),
                air.idleMs(),
                air.downLoadedMs(),
                air.upLoadedMs(),
                air.jitterMs(),
                air.lossPct(),
                SERVER);
    }
}
