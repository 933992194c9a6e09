package syntoma.core.chain;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * The classes of cable for one run, with what each costs and takes.
 *
 * @param lossDb over the length at the frequency
 * @param price about, in units of money
 * @param perDbSaved against the class before it, which loses more; empty for the first, and where it costs no more
 * @param isBest whether it is the cheapest that stays within {@value #GIVE_UP_DB} dB of the least loss
 */
public record CableChoice(
        CableClass cableClass, double lossDb, double price, OptionalDouble perDbSaved, boolean isBest) {
    /** How much may be given up for a cheaper cable. */
    public static final double GIVE_UP_DB = 1;
    /** A thicker cable is not proposed: chosen, because it bends too wide for a vehicle. */
    private static final double THICKEST_MM = 11;

    /** All classes for radio gear over a length in m at a frequency in MHz. */
    public static List<CableChoice> over(double lengthM, double mhz) {
        List<CableClass> classes = CableClass.all().stream()
                .filter(c -> c.ohms() == CableClass.RADIO_OHMS)
                .toList();
        List<CableClass> bending =
                classes.stream().filter(c -> c.diameterMm() <= THICKEST_MM).toList();
        double least =
                bending.stream().mapToDouble(c -> c.lossDb(mhz, lengthM)).min().orElseThrow();
        CableClass best = bending.stream()
                .filter(c -> c.lossDb(mhz, lengthM) <= least + GIVE_UP_DB)
                .min(Comparator.comparingDouble(CableClass::pricePerM))
                .orElseThrow();
        return IntStream.range(0, classes.size())
                .mapToObj(i -> {
                    CableClass own = classes.get(i);
                    double loss = own.lossDb(mhz, lengthM);
                    OptionalDouble perDb = OptionalDouble.empty();
                    if (i > 0
                            && lengthM > 0
                            && own.pricePerM() > classes.get(i - 1).pricePerM()) {
                        CableClass before = classes.get(i - 1);
                        double saved = before.lossDb(mhz, lengthM) - loss;
                        perDb = OptionalDouble.of((own.pricePerM() - before.pricePerM()) * lengthM / saved);
                    }
                    return new CableChoice(own, loss, own.pricePerM() * lengthM, perDb, own.equals(best));
                })
                .toList();
    }
}
