package syntoma.core.propagation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Scale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Worked numbers of ITU-R P.525 and P.526, and what holds for all of them. */
class PropagationTest {
    /** 20 log₁₀(4πd/λ) with the speed of light; 32.45 is that constant to a hundredth of a dB. */
    @ParameterizedTest
    @CsvSource({"0.003, 800", "1, 700", "1, 1800", "12.5, 2600", "35, 3500"})
    void freeSpaceIsTheSphereThroughWhichThePowerPasses(double km, double mhz) {
        double wavelength = 299.792458 / mhz;
        double wanted = 20 * Math.log10(4 * Math.PI * km * 1000 / wavelength);
        assertEquals(wanted, FreeSpace.lossDb(km, mhz), 0.01);
    }

    @Property
    void twiceAsFarIsSixDecibel(
            @ForAll @Scale(4) @DoubleRange(min = 0.001, max = 1000) double km,
            @ForAll @DoubleRange(min = 400, max = 6000) double mhz) {
        assertEquals(20 * Math.log10(2), FreeSpace.lossDb(2 * km, mhz) - FreeSpace.lossDb(km, mhz), 1e-9);
        assertEquals(20 * Math.log10(2), FreeSpace.lossDb(km, 2 * mhz) - FreeSpace.lossDb(km, mhz), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({"0, 800", "-1, 800", "1, 0", "NaN, 800"})
    void whatIsNoDistanceOrFrequencyIsRefused(double km, double mhz) {
        assertThrows(IllegalArgumentException.class, () -> FreeSpace.lossDb(km, mhz));
    }

    /** 20 log₁₀(h₂/h₁), at most 12 dB. */
    @ParameterizedTest
    @CsvSource({"3, 6, 6.02", "3, 3, 0", "2.9, 5.8, 6.02", "6, 3, -6.02", "1, 3.98, 12.0", "1, 30, 12"})
    void heightGainsAsTheTwoRaysSay(double from, double to, double db) {
        assertEquals(db, HeightGain.db(from, to), 0.005);
    }

    @Test
    void thereIsNoHeightBelowTheGround() {
        assertTrue(assertThrows(IllegalArgumentException.class, () -> HeightGain.db(0, 3))
                .getMessage()
                .contains("height over ground"));
    }

    /** J(ν) by the approximation of P.526, which is stated to be good above −0.78. */
    @ParameterizedTest
    @CsvSource({
        "-1, 0",
        "-0.78, 0",
        "-0.5, 1.96",
        "0, 6.03",
        "0.5, 10.29",
        "1, 13.93",
        "2, 19.05",
        "2.4, 20.54",
        "3, 22.42"
    })
    void anEdgeTakesWhatTheRecommendationSays(double v, double db) {
        assertEquals(db, Obstacle.lossDb(v), 0.05);
    }

    /** The approximation against the integral it stands for: half a unit of the Fresnel integrals, within a quarter of a dB. */
    @ParameterizedTest
    @CsvSource({"-0.5", "0", "0.7", "1.5", "2.4"})
    void theApproximationFollowsTheIntegral(double v) {
        // J(ν) = −20 log₁₀(√((1 − C(ν) − S(ν))² + (C(ν) − S(ν))²) / 2), C and S by Simpson's rule
        double[] cs = fresnel(v);
        double re = 1 - cs[0] - cs[1];
        double im = cs[0] - cs[1];
        double wanted = -20 * Math.log10(Math.sqrt(re * re + im * im) / 2);
        assertEquals(wanted, Obstacle.lossDb(v), 0.25);
    }

    private static double[] fresnel(double v) {
        int steps = 2000;
        double h = v / steps;
        double c = 0;
        double s = 0;
        for (int i = 0; i <= steps; i++) {
            double weight = i == 0 || i == steps ? 1 : i % 2 == 0 ? 2 : 4;
            double t = i * h;
            c += weight * Math.cos(Math.PI / 2 * t * t);
            s += weight * Math.sin(Math.PI / 2 * t * t);
        }
        return new double[] {c * h / 3, s * h / 3};
    }

    /** 17.32 √(d₁d₂ ∕ (f d)), d in km and f in GHz: the same formula as it stands in handbooks. */
    @ParameterizedTest
    @CsvSource({"1, 1, 800", "0.5, 4, 1800", "10, 10, 3500"})
    void theFirstZoneIsThatOfTheHandbooks(double from, double to, double mhz) {
        double wanted = 17.32 * Math.sqrt(from * to / (mhz / 1000 * (from + to)));
        assertEquals(wanted, Obstacle.fresnelM(1, from, to, mhz), 0.005 * wanted);
    }

    @Property
    void zonesGrowWithTheRootOfTheirNumberAndAreWidestInTheMiddle(
            @ForAll @DoubleRange(min = 0.1, max = 40) double km,
            @ForAll @DoubleRange(min = 0.01, max = 0.99) double part) {
        double here = Obstacle.fresnelM(1, km * part, km * (1 - part), 1800);
        assertEquals(2 * here, Obstacle.fresnelM(4, km * part, km * (1 - part), 1800), 1e-9 * here);
        assertTrue(here <= Obstacle.fresnelM(1, km / 2, km / 2, 1800) + 1e-9);
    }

    /** d₁d₂ ∕ 2kR with k = 4/3: 5.9 m in the middle of 20 km. */
    @Test
    void theEarthBulges() {
        assertEquals(5.886, Obstacle.bulgeM(10, 10), 0.005);
        assertEquals(0, Obstacle.bulgeM(0, 20), 1e-12);
    }

    /** An edge that fills the first zone to the line is ν = 0; one a zone above it is ν = √2. */
    @Test
    void anEdgeIsMeasuredInZones() {
        double radius = Obstacle.fresnelM(1, 3, 5, 900);
        assertEquals(0, Obstacle.v(0, 3, 5, 900), 1e-12);
        assertEquals(Math.sqrt(2), Obstacle.v(radius, 3, 5, 900), 1e-12);
        // six tenths of the first zone free: nothing is lost
        assertEquals(0, Obstacle.lossDb(Obstacle.v(-0.6 * radius, 3, 5, 900)), 0.05);
        assertEquals(0, Obstacle.lossDb(Obstacle.v(10, 0, 5, 900)), 1e-12);
    }

    @Property
    void whatReachesHigherTakesMore(
            @ForAll @DoubleRange(min = -3, max = 10) double v, @ForAll @DoubleRange(min = 0.01, max = 2) double more) {
        assertTrue(Obstacle.lossDb(v + more) >= Obstacle.lossDb(v));
    }
}
