package syntoma.core.chain;

import java.util.List;
import java.util.OptionalDouble;

/**
 * The classes of cable for one run, with what each costs and takes.
 *
 * @param lossDb over the length at the frequency
 * @param price about, in units of money
 * @param perDbSaved against the next thinner class that loses more; empty for the thinnest
 * @param best whether it is the cheapest that stays within {@value #GIVE_UP_DB} dB of the least loss
 */
public record CableChoice(CableClass cableClass, double lossDb, double price, OptionalDouble perDbSaved, boolean best) {
    /** So much may be given up for a cheaper cable. */
    public static final double GIVE_UP_DB = 1;

    /** All classes over a length in m at a frequency in MHz. */
    public static List<CableChoice> over(double lengthM, double mhz) {
        List<CableClass> classes = CableClass.all();
        double least =
                classes.stream().mapToDouble(c -> c.lossDb(mhz, lengthM)).min().orElseThrow();
        CableClass best = classes.stream()
                .filter(c -> c.lossDb(mhz, lengthM) <= least + GIVE_UP_DB)
                .min(java.util.Comparator.comparingDouble(CableClass::pricePerM))
                .orElseThrow();
        return java.util.stream.IntStream.range(0, classes.size())
                .mapToObj(i -> {
                    CableClass own = classes.get(i);
                    double loss = own.lossDb(mhz, lengthM);
                    OptionalDouble perDb = OptionalDouble.empty();
                    if (i > 0 && lengthM > 0) {
                        CableClass thinner = classes.get(i - 1);
                        double saved = thinner.lossDb(mhz, lengthM) - loss;
                        perDb = OptionalDouble.of((own.pricePerM() - thinner.pricePerM()) * lengthM / saved);
                    }
                    return new CableChoice(own, loss, own.pricePerM() * lengthM, perDb, own.equals(best));
                })
                .toList();
    }
}
