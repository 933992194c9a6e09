package syntoma.core.design;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import syntoma.core.chain.Booster;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Device;
import syntoma.core.chain.RadioMode;

/**
 * What is tried: a setup on a carrier, and what of it hands have to put up.
 *
 * @param device empty text where the setup does not say which
 * @param place where the device is
 * @param antennas by name, with the height of each above the roof in m
 * @param booster empty where there is none
 * @param bands locked to, with the mode; “automatic” where the device chooses
 * @param arranged what else hands arrange for it
 */
public record Contender(
        String setup,
        String carrier,
        String device,
        String place,
        SortedMap<String, Double> antennas,
        Optional<String> booster,
        String bands,
        Optional<Variation.Arranged> arranged) {
    /** A setup of which nothing is known but its name. */
    public static Contender named(String setup, String carrier) {
        return new Contender(
                setup,
                carrier,
                "",
                "",
                new TreeMap<>(),
                Optional.empty(),
                RadioMode.AUTOMATIC.label(),
                Optional.empty());
    }

    public Contender {
        antennas = Collections.unmodifiableSortedMap(new TreeMap<>(antennas));
    }

    /** A setup with its chain. */
    public static Contender of(String setup, String carrier, Chain chain) {
        SortedMap<String, Double> antennas = new TreeMap<>();
        chain.antennas().forEach(run -> antennas.put(run.antenna().name(), run.mastM()));
        return new Contender(
                setup,
                carrier,
                chain.device().map(Device::name).orElse(""),
                chain.devicePlacement().label(),
                antennas,
                chain.booster().map(Booster::name),
                bands(chain.settings().lockedBands(), chain.settings().mode()),
                Optional.empty());
    }

    private static String bands(List<String> locked, RadioMode mode) {
        return locked.isEmpty() || mode == RadioMode.AUTOMATIC ? mode.label() : String.join(" + ", locked);
    }

    /** The same with something arranged that is no part of its chain. */
    public Contender arranged(Optional<Variation.Arranged> how) {
        return new Contender(setup, carrier, device, place, antennas, booster, bands, how);
    }

    /** As a person would call it beside others: with its carrier where they are on several. */
    public String name(boolean withCarrier) {
        return withCarrier ? setup + " on " + carrier : setup;
    }
}
