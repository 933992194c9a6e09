package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.band.Band;
import syntoma.core.band.Coverage;
import syntoma.core.band.LinkShare;
import syntoma.core.band.Reach;
import syntoma.core.chain.Adapter;
import syntoma.core.chain.Chain;
import syntoma.core.chain.Use;
import syntoma.core.chain.Wiring;

/**
 * A chain with all that its rules look at.
 *
 * @param bands the carrier's bands in the regions travelled
 * @param spares adapters on the shelf that the chain does not use
 * @param reach the carrier's bands over the links of the chain: the device, its antennas for cellular, the booster
 */
public record FitCase(Chain chain, Wiring wiring, List<Band> bands, List<Adapter> spares, Reach reach) {

    public static FitCase of(Chain chain, String carrier, List<Band> bands, List<Adapter> spares) {
        return new FitCase(chain, Wiring.of(chain), bands, spares, new Reach(carrier, coverage(chain, bands)));
    }

    private static List<Coverage> coverage(Chain chain, List<Band> bands) {
        return bands.stream()
                .map(band -> {
                    List<LinkShare> links = new ArrayList<>();
                    chain.device().ifPresent(d -> links.add(d.share(band)));
                    chain.antennas().stream()
                            .filter(run -> !run.antenna().leads(Use.CELLULAR).isEmpty())
                            .forEach(run -> links.add(run.antenna().share(band)));
                    chain.booster().ifPresent(b -> links.add(b.share(band)));
                    return Coverage.of(band, links);
                })
                .toList();
    }

    /** Antenna streams that reach the device: at most its layers, at most the cellular leads that have a port; without any, those of its own antennas. */
    public int streams() {
        if (chain.booster().isPresent()) {
            return 1;
        }
        int layers = chain.device().map(d -> d.mostLayers().orElse(2)).orElse(0);
        int connected = wiring.of(Use.CELLULAR).size();
        return connected > 0 ? Math.min(layers, connected) : layers;
    }

    /** The network; empty text when none is chosen. */
    public String carrier() {
        return reach.carrier();
    }

    String device() {
        return chain.device().map(d -> d.name()).orElse("the device");
    }
}
