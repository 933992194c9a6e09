package syntoma.core.booster;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a booster does from where its two antennas stand. */
class BoosterPlacingTest {
    /** A steel roof between the two, outside 5 dBi and back to back, inside 3 dBi: 3 m apart. */
    private static final UsableGain APART = new UsableGain(3, 15, -5, -7);

    private static BoosterPlacing at(UsableGain between, OptionalDouble output) {
        return new BoosterPlacing(between, 65, output, 4, 3, 800, 10);
    }

    private static BoosterPlacing at(double separationM) {
        return at(new UsableGain(separationM, 15, -5, -7), OptionalDouble.empty());
    }

    @Test
    void threeMetresUnderASteelRoof() {
        // 40.05 + 15 + 5 + 7 = 67.05, of which 10 are kept
        BoosterPlacing placing = at(APART, OptionalDouble.empty());
        assertEquals(67.05, placing.isolationDb(), 0.01);
        assertEquals(57.05, placing.stableGainDb(), 0.01);
        assertEquals(57.05, placing.usableGainDb(), 0.01);
    }

    @Test
    void howFarApartAllOfTheGainIsStable() {
        BoosterPlacing placing = at(APART, OptionalDouble.empty());
        // 65 + 10 − 15 − 12 = 48 dB of free space at 800 MHz: 10^((48 − 32.45 − 58.06) / 20) km = 7.49 m
        assertEquals(7.49, placing.fullGainAtM(), 0.01);
        assertEquals(4.49, placing.shortM(), 0.01);
        BoosterPlacing further = at(placing.fullGainAtM());
        assertEquals(65, further.usableGainDb(), 1e-9);
        assertEquals(0, further.shortM(), 1e-9);
    }

    /** Nearer than 0.3 m the far field does not hold: it stays as it is there. */
    @Test
    void antennasThatTouchAreCountedFromThirtyCentimetres() {
        assertEquals(at(0.3).isolationDb(), at(0.05).isolationDb(), 1e-12);
    }

    @Test
    void theLevelInsideIsWhatComesInAndIsBoosted() {
        // −105 + 4 + 57.05 + 3
        assertEquals(-40.95, at(APART, OptionalDouble.empty()).radiatedDbm(-105), 0.01);
    }

    /** 10 dBm over 10 MHz are 600 subcarriers: −17.78 dBm for each resource element, and no gain makes it more. */
    @Test
    void itPutsOutNoMoreThanItCan() {
        BoosterPlacing strong = at(APART, OptionalDouble.of(10));
        assertEquals(-17.78 + 3, strong.radiatedDbm(-60), 0.01);
        assertEquals(strong.radiatedDbm(-60), strong.radiatedDbm(-50), 1e-12);
    }

    @Test
    void itReachesAsFarAsTheTargetIsFound() {
        BoosterPlacing placing = at(APART, OptionalDouble.empty());
        // −110 + 4 + 57.05 + 3 = −45.95; 54.05 dB to −100 dBm: 10^((54.05 − 90.51) / 20) km = 15 m, longer than a
        // vehicle
        assertEquals(10, placing.radiusM(-110, BoosterPlacing.USUAL_TARGET_DBM), 1e-9);
        double near = placing.radiusM(-125, -100);
        // the same less 15 dB: 5.62 times as near
        assertEquals(15.02 / 5.623, near, 0.02);
        assertEquals(0, placing.radiusM(-150, -100), 1e-12);
    }

    /** Where there is nothing to boost no booster helps. */
    @ParameterizedTest
    @CsvSource({"-124, 0, true", "-125, -6, true", "-126, 5, false", "-110, -7, false"})
    void aValleyHasNothingToBoost(double rsrp, double sinr, boolean any) {
        assertEquals(any, BoosterPlacing.hasSignal(rsrp, sinr));
    }

    @Property
    void furtherApartNeverRingsSooner(
            @ForAll @DoubleRange(min = 0.1, max = 8) double metres,
            @ForAll @DoubleRange(min = 0.1, max = 4) double more) {
        BoosterPlacing near = at(metres);
        BoosterPlacing far = at(metres + more);
        assertTrue(far.isolationDb() >= near.isolationDb());
        assertTrue(far.usableGainDb() >= near.usableGainDb() && far.usableGainDb() <= 65);
        assertTrue(far.shortM() <= near.shortM());
        assertTrue(far.radiusM(-110, -95) >= near.radiusM(-110, -95));
    }

    @Property
    void aStrongerSignalReachesNoLess(
            @ForAll @DoubleRange(min = -140, max = -60) double rsrp,
            @ForAll @DoubleRange(min = 0, max = 20) double more) {
        BoosterPlacing placing = at(APART, OptionalDouble.of(10));
        assertTrue(placing.radiatedDbm(rsrp + more) >= placing.radiatedDbm(rsrp));
        assertTrue(placing.radiusM(rsrp + more, -100) >= placing.radiusM(rsrp, -100));
    }

    @ParameterizedTest
    @CsvSource({"0, 800, 10, gain", "120, 800, 10, gain", "65, 50, 10, frequency", "65, 800, 0.5, bandwidth"})
    void whatNoBoosterHasIsRefused(double gain, double mhz, double width, String names) {
        IllegalArgumentException refused = assertThrows(
                IllegalArgumentException.class,
                () -> new BoosterPlacing(APART, gain, OptionalDouble.empty(), 4, 3, mhz, width));
        assertTrue(refused.getMessage().startsWith(names), refused.getMessage());
        assertFalse(refused.getMessage().contains("null"));
    }
}
