package syntoma.core.design;

import java.util.Optional;
import java.util.SortedMap;
import syntoma.core.chain.Chain;
import syntoma.core.state.Arrangement;
import syntoma.core.state.ExtraStep;
import syntoma.core.state.Spot;

/**
 * What is tried: a setup on a carrier.
 *
 * @param arrangement what has to be where for it
 */
public record Contender(String setup, Arrangement arrangement) {
    /** A setup of which nothing is known but its name. */
    public static Contender ofName(String setup, String carrier) {
        return new Contender(setup, Arrangement.ofUnknown(setup, carrier));
    }

    /** A setup with its chain. */
    public static Contender of(String setup, String carrier, Chain chain) {
        return new Contender(setup, Arrangement.of(setup, carrier, chain));
    }

    /** The same with something arranged that is no part of its chain. */
    public Contender arranged(Optional<ExtraStep> how) {
        return new Contender(setup, arrangement.with(how));
    }

    public String carrier() {
        return arrangement.carrier();
    }

    /** The name of its device; empty text where the parts of the setup are not known. */
    public String device() {
        return isKnown() ? arrangement.device().name() : "";
    }

    /** What to call its device in a sentence. */
    String deviceName() {
        return arrangement.device().name();
    }

    /** By name, where each of them is. */
    public SortedMap<String, Spot> antennas() {
        return arrangement.antennas();
    }

    public Optional<String> booster() {
        return arrangement.booster();
    }

    /** What its device is held to; “automatic” where it chooses. */
    public String bands() {
        return arrangement.bands();
    }

    /** Whether the parts of the setup are known. */
    public boolean isKnown() {
        return arrangement.whyUnknown().isEmpty();
    }

    /** As a person would call it beside others: with its carrier where they are on several. */
    public String name(boolean withCarrier) {
        return withCarrier ? setup + " on " + carrier() : setup;
    }
}
