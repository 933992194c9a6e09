package syntoma.standin;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import syntoma.standin.air.Hands;

/** The planted stories are in the log, and the world knows the truth. */
class DemoLogTest {
    private static final DemoLog LOG = DemoLog.generate();

    /** As its card has it. */
    private static final double BRISSA_CAP_MBPS = 24;

    private record Line(String[] f) {
        String place() {
            return f[1];
        }

        String setup() {
            return f[4];
        }

        String carrier() {
            return f[5];
        }

        double number(int column) {
            return Double.parseDouble(f[column]);
        }

        boolean ok() {
            return f[21].equals("ok");
        }

        int hour() {
            return Integer.parseInt(f[0].substring(11, 13));
        }
    }

    private static List<Line> lines(Predicate<Line> wanted) {
        return LOG.csv()
                .lines()
                .skip(1)
                .map(l -> new Line(l.split(",", -1)))
                .filter(wanted)
                .toList();
    }

    private static double mean(List<Line> lines, int column) {
        return lines.stream()
                .filter(Line::ok)
                .mapToDouble(l -> l.number(column))
                .average()
                .orElseThrow();
    }

    @Test
    void it_is_the_same_every_time_and_every_row_is_whole() {
        assertEquals(LOG.csv(), DemoLog.generate().csv());
        assertTrue(lines(l -> true).size() >= 580, "about 600 measurements");
        assertEquals(
                25,
                LOG.csv().lines().mapToInt(l -> l.split(",", -1).length).max().orElseThrow());
        assertEquals(
                25,
                LOG.csv().lines().mapToInt(l -> l.split(",", -1).length).min().orElseThrow());
    }

    @Test
    void whips_look_best_in_plain_averages_though_they_are_worst_like_for_like() {
        double whips = mean(lines(l -> l.setup().equals(World.WHIPS)), 14);
        double panel = mean(lines(l -> l.setup().equals(World.MAST_PANEL)), 14);
        double dome = mean(lines(l -> l.setup().equals(World.ROOF_DOME)), 14);
        assertTrue(whips > panel && whips > dome, whips + " " + panel + " " + dome);
        var at = World.CONNECTOR_FAILS.minusDays(9);
        assertTrue(LOG.world().trueGainDb(World.WHIPS, World.ROOF_DOME, "Sawmill Yard", "Tarnwave", "B20", at) < 0);
    }

    @Test
    void brissa_flattens_out_at_its_plan() {
        List<Line> runs = lines(l -> l.carrier().equals("Brissa") && l.ok());
        assertTrue(runs.size() >= 4);
        assertTrue(runs.stream().allMatch(l -> Math.abs(l.number(13) - BRISSA_CAP_MBPS) < 0.9));
    }

    @Test
    void lighthouse_meadow_is_slow_every_evening() {
        List<Line> here =
                lines(l -> l.place().equals("Lighthouse Meadow") && l.setup().equals(World.ROOF_DOME));
        double evening = mean(here.stream().filter(l -> l.hour() >= 18).toList(), 13);
        double day = mean(here.stream().filter(l -> l.hour() < 18).toList(), 13);
        assertTrue(evening < day / 2, evening + " " + day);
    }

    @Test
    void the_domes_connector_costs_7_db_from_week_six() {
        var before = World.CONNECTOR_FAILS.minusHours(1);
        var after = World.CONNECTOR_FAILS.plusHours(1);
        Hands dome = Hands.of("Juniper Ridge", World.ROOF_DOME, "Tarnwave");
        double lost = LOG.world().trueLevelDbm(dome, before) - LOG.world().trueLevelDbm(dome, after);
        assertEquals(7, lost, 1e-9);
    }

    @Test
    void the_booster_has_nothing_to_boost_at_bog_boardwalk() {
        List<Line> booster =
                lines(l -> l.place().equals("Bog Boardwalk") && l.setup().equals(World.BOOSTER));
        assertEquals(5, booster.size());
        assertTrue(booster.stream().filter(Line::ok).count() <= 1);
    }

    @Test
    void at_juniper_ridge_one_carrier_is_dead_and_another_fine() {
        assertTrue(lines(l -> l.place().equals("Juniper Ridge") && l.carrier().equals("Ostrel")).stream()
                .noneMatch(Line::ok));
        long fine = lines(l -> l.place().equals("Juniper Ridge") && l.carrier().equals("Tarnwave")).stream()
                .filter(Line::ok)
                .count();
        assertTrue(fine > 20);
    }

    @Test
    void one_run_at_amber_spit_is_wild() {
        double[] ups = lines(l -> l.f()[22].equals("Dome again") && l.setup().equals(World.MAST_PANEL)).stream()
                .filter(Line::ok)
                .mapToDouble(l -> l.number(14))
                .sorted()
                .toArray();
        assertTrue(ups[ups.length - 1] > 2.2 * ups[ups.length - 2], Arrays.toString(ups));
    }

    @Test
    void it_is_a_loop_of_twelve_stays_with_two_campsites_visited_twice() {
        List<String> stays = new ArrayList<>();
        for (Line line : lines(l -> true)) {
            if (stays.isEmpty() || !stays.get(stays.size() - 1).equals(line.place())) {
                stays.add(line.place());
            }
        }
        assertEquals(12, stays.size(), stays.toString());
        assertEquals(10, Set.copyOf(stays).size(), stays.toString());
    }

    @Test
    void an_ok_run_brings_something_both_ways() {
        assertTrue(lines(Line::ok).stream().allMatch(l -> l.number(13) > 0 && l.number(14) > 0));
    }
}
