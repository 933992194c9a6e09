package syntoma.core.aim;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.sf.geographiclib.Geodesic;
import net.sf.geographiclib.GeodesicData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AimTest {
    private static final Spot HERE = new Spot(59.0, 18.0);

    private static Spot at(double deg, double km) {
        GeodesicData there = Geodesic.WGS84.Direct(HERE.lat(), HERE.lon(), deg, 1_000 * km);
        return new Spot(there.lat2, there.lon2);
    }

    @Test
    void a_bearing_is_along_the_geodesic_and_a_compass_is_off_by_the_declination() {
        // GeographicLib’s own worked example: 161.06766998616° and 19959679.267 m
        Bearing far = Bearing.between(new Spot(-41.32, 174.81), new Spot(40.96, -5.50));
        assertEquals(19959.679, far.km(), 0.001);
        assertEquals(161.067, far.trueDeg(), 0.001);
        Bearing bearing = Bearing.between(HERE, at(3, 5));
        assertEquals(3, bearing.trueDeg(), 1e-9);
        assertEquals(356, bearing.magneticDeg(7), 1e-9);
        assertEquals(3, Bearing.ofMagnetic(356, 7), 1e-9);
        assertThrows(IllegalArgumentException.class, () -> bearing.magneticDeg(120));
    }

    /** Levels every 30° of an antenna of 60° at a heading, with noise. */
    private static List<Sweep.Point> levels(double best, double scatter, long seed) {
        Random random = new Random(seed);
        List<Sweep.Point> points = new ArrayList<>();
        for (int deg = 0; deg < 360; deg += 30) {
            double lost = Sweep.offTargetLossDb(deg - best, 60, 22);
            points.add(new Sweep.Point(deg, -90 - lost + scatter * random.nextGaussian()));
        }
        return points;
    }

    @ParameterizedTest
    @CsvSource({"0", "47", "180", "355"})
    void a_sweep_finds_the_heading_its_width_and_what_is_lost_beside_it(double best) {
        Sweep.Fit fit = Sweep.of(levels(best, 0, 1)).fit().orElseThrow();
        assertEquals(0, Bearing.difference(fit.bestDeg(), best), 1);
        assertEquals(60, fit.widthDeg(), 3);
        assertEquals(-90, fit.topDb(), 0.3);
        // half power at half the width: 10 n log cos²(15°) = −3 dB
        assertEquals(3, -fit.db(best + 30) + fit.topDb(), 0.4);
        // 20° off a beam of 60°: n = 3 / (20 · 0.015056) = 9.963, 20 · 9.963 · 0.006649 = 1.32 dB
        assertEquals(1.32, fit.lossDb(), 0.15);
    }

    @Test
    void with_noise_the_heading_is_as_sure_as_it_says() {
        int held = 0;
        for (int seed = 0; seed < 60; seed++) {
            Sweep.Fit fit = Sweep.of(levels(100, 1.5, seed)).fit().orElseThrow();
            held += Math.abs(Bearing.difference(fit.bestDeg(), 100)) <= fit.surenessDeg() ? 1 : 0;
        }
        assertTrue(held >= 52, held + " of 60");
    }

    @Test
    void where_no_direction_matters_none_is_named() {
        int named = 0;
        for (int seed = 0; seed < 100; seed++) {
            Random random = new Random(seed);
            List<Sweep.Point> points = new ArrayList<>();
            for (int deg = 0; deg < 360; deg += 30) {
                points.add(new Sweep.Point(deg, -95 + 2 * random.nextGaussian()));
            }
            named += Sweep.of(points).fit().isPresent() ? 1 : 0;
        }
        assertTrue(named <= 10, named + " of 100");
        List<Sweep.Point> level = List.of(0, 60, 120, 180, 240, 300).stream()
                .map(deg -> new Sweep.Point(deg, -90 + deg / 300.0))
                .toList();
        assertTrue(Sweep.of(level).sentence().startsWith("No direction matters here: the signal comes by reflections"));
        assertThrows(IllegalArgumentException.class, () -> Sweep.of(level.subList(0, 5)));
    }

    @Test
    void two_antennas_are_held_against_each_other_on_and_off_the_mark() {
        Sweep.Result panel = Sweep.of(levels(100, 0, 1));
        List<Sweep.Point> around = new ArrayList<>();
        for (int deg = 0; deg < 360; deg += 30) {
            around.add(new Sweep.Point(deg, -94));
        }
        Pointing pointing = Pointing.of("Rowan", panel, "Alder", Sweep.of(around));
        assertEquals(4, pointing.onMarkDb(), 0.4);
        assertEquals(4 - 4.1, pointing.offMarkDb(), 0.6);
        assertEquals(
                "On the mark Rowan is 4.0 dB ahead of Alder; 35° off it does as well as.",
                pointing.sentence().replaceFirst("4\\.\\d", "4.0"));
    }

    private static Crossing.Line line(Spot from, Spot to, double offDeg) {
        return new Crossing.Line(
                from, Bearing.positive(Bearing.between(from, to).trueDeg() + offDeg), 3);
    }

    @Test
    void bearings_from_two_places_cross_at_the_mast() {
        Spot mast = at(40, 6);
        Crossing two = Crossing.of(List.of(line(HERE, mast, 0), line(at(90, 4), mast, 0)));
        assertEquals(0, Bearing.between(mast, two.at()).km(), 0.005);
        assertTrue(two.longM() > two.shortM() && two.shortM() > 100, two.toString());
        Crossing three =
                Crossing.of(List.of(line(HERE, mast, 2), line(at(90, 4), mast, -1), line(at(320, 5), mast, 1.5)));
        double missed = 1_000 * Bearing.between(mast, three.at()).km();
        assertTrue(missed < three.longM(), missed + " m, " + three);
    }

    @Test
    void the_ellipse_holds_the_mast_19_times_in_20() {
        Spot mast = at(40, 6);
        List<Spot> places = List.of(HERE, at(90, 4), at(320, 5));
        Random random = new Random(5);
        int held = 0;
        for (int i = 0; i < 200; i++) {
            Crossing crossing = Crossing.of(places.stream()
                    .map(p -> line(p, mast, 3 * random.nextGaussian()))
                    .toList());
            held += inside(crossing, mast) ? 1 : 0;
        }
        assertTrue(held >= 180, held + " of 200");
    }

    private static boolean inside(Crossing crossing, Spot mast) {
        Bearing to = Bearing.between(crossing.at(), mast);
        double turned = Math.toRadians(to.trueDeg() - crossing.longDeg());
        double along = 1_000 * to.km() * Math.cos(turned) / crossing.longM();
        double across = 1_000 * to.km() * Math.sin(turned) / crossing.shortM();
        return along * along + across * across <= 1;
    }

    @Test
    void what_does_not_cross_is_refused_with_why() {
        Spot side = at(90, 4);
        assertTrue(refused(List.of(new Crossing.Line(HERE, 10, 3), new Crossing.Line(HERE, 60, 3)))
                .contains("one place"));
        assertTrue(refused(List.of(new Crossing.Line(HERE, 10, 3), new Crossing.Line(side, 11, 3)))
                .contains("parallel"));
        assertTrue(refused(List.of(new Crossing.Line(HERE, 300, 3), new Crossing.Line(side, 60, 3)))
                .contains("do not cross"));
    }

    private static String refused(List<Crossing.Line> lines) {
        return assertThrows(IllegalArgumentException.class, () -> Crossing.of(lines))
                .getMessage();
    }
}
