package syntoma.core.state;

import java.util.Collections;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.SortedMap;
import java.util.TreeMap;
import syntoma.core.chain.Booster;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Device;
import syntoma.core.chain.InternalAntennas;
import syntoma.core.chain.RadioMode;
import syntoma.core.chain.Settings;
import syntoma.core.chain.Source;

/**
 * What has to be where for a setup on a carrier.
 *
 * @param whyUnknown the name of the setup where its parts are not known; nothing but its SIM and what is arranged is told of it then
 * @param carrier empty text where none is chosen
 * @param sims the carriers of the SIMs that the setup has in its device, by the name of the SIM
 * @param place where the device is
 * @param antennas by name, where each of them is
 * @param booster empty where there is none
 * @param bands that the device is held to, or its mode; “automatic” where it chooses
 * @param arranged what else hands arrange for it
 */
public record Arrangement(
        Optional<String> whyUnknown,
        Holder device,
        String carrier,
        SortedMap<String, String> sims,
        Source source,
        String place,
        SortedMap<String, Spot> antennas,
        Optional<String> booster,
        String bands,
        Optional<ExtraStep> arranged) {
    public Arrangement {
        sims = Collections.unmodifiableSortedMap(new TreeMap<>(sims));
        antennas = Collections.unmodifiableSortedMap(new TreeMap<>(antennas));
    }

    /** Of a setup of which nothing is known but its name. */
    public static Arrangement ofUnknown(String setup, String carrier) {
        return new Arrangement(
                Optional.of(setup),
                Holder.UNKNOWN,
                carrier,
                new TreeMap<>(),
                Source.CELLULAR,
                "",
                new TreeMap<>(),
                Optional.empty(),
                RadioMode.AUTOMATIC.label(),
                Optional.empty());
    }

    /** Of a setup with its chain. */
    public static Arrangement of(String setup, String carrier, Chain chain) {
        if (chain.device().isEmpty()) {
            return ofUnknown(setup, carrier);
        }
        SortedMap<String, Spot> antennas = new TreeMap<>();
        chain.antennas().forEach(run -> antennas.put(run.antenna().name(), Spot.of(run.placement(), run.mastM())));
        SortedMap<String, String> sims = new TreeMap<>();
        chain.sims().stream()
                .filter(sim -> !sim.carrier().isEmpty())
                .forEach(sim -> sims.put(sim.name(), sim.carrier()));
        return new Arrangement(
                Optional.empty(),
                holder(chain.device().get()),
                carrier,
                sims,
                chain.settings().source(),
                chain.devicePlacement().label(),
                antennas,
                chain.booster().map(Booster::name),
                bands(chain.settings()),
                Optional.empty());
    }

    private static Holder holder(Device device) {
        OptionalInt cards = device.simSlots();
        int slots = Math.max(1, cards.orElse(1)) + (device.esim().orElse(false) ? 1 : 0);
        return new Holder(
                device.name(),
                slots,
                device.lockedTo().filter(carrier -> !carrier.isEmpty()),
                device.internal().filter(InternalAntennas.SCREWED_ON::equals).isPresent());
    }

    private static String bands(Settings settings) {
        return settings.lockedBands().isEmpty() || settings.mode() == RadioMode.AUTOMATIC
                ? settings.mode().label()
                : String.join(" + ", settings.lockedBands());
    }

    /** The same with something arranged that is no part of its chain. */
    public Arrangement with(Optional<ExtraStep> how) {
        return new Arrangement(whyUnknown, device, carrier, sims, source, place, antennas, booster, bands, how);
    }

    /** Whether it takes a SIM: campground Wi-Fi and satellite do not. */
    public boolean needsSim() {
        return source == Source.CELLULAR && !carrier.isEmpty();
    }

    /** Whether its device takes SIMs of its carrier. */
    public boolean isAllowed() {
        return !needsSim() || device.takes(carrier);
    }

    /** What the leads of its antennas are plugged into: the booster where there is one, else the device. */
    String leadsGoTo() {
        return booster.orElse(device.name());
    }

    /** What is in use while it is: the device, or the setup where its parts are not known. */
    String inUse() {
        return whyUnknown.orElse(device.name());
    }
}
