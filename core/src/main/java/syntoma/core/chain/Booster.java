package syntoma.core.chain;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import syntoma.core.band.Band;
import syntoma.core.band.Duplex;
import syntoma.core.band.LinkShare;
import syntoma.core.band.Span;

/**
 * A booster that re-radiates inside. Its uplink and its downlink have passbands of their own.
 *
 * @param tdd whether it follows the turns of a TDD band; one that does not, covers none of them
 * @param gainDb rated gain
 * @param ratedOutputDbm toward the inside
 * @param donor the connector for the antenna outside
 */
public record Booster(
        String name,
        List<Span> uplink,
        List<Span> downlink,
        Optional<Boolean> tdd,
        OptionalDouble gainDb,
        OptionalDouble ratedOutputDbm,
        Optional<Connector> donor,
        PowerInput power) {

    /** The share of a band that its passbands take, each direction by its own. */
    public LinkShare share(Band band) {
        if (uplink.isEmpty() && downlink.isEmpty()) {
            return LinkShare.unknown(name);
        }
        if (band.duplex() == Duplex.TDD && !tdd.orElse(false)) {
            boolean outside = LinkShare.of(name, band, downlink, uplink)
                    .passes()
                    .map(passes -> !passes)
                    .orElse(false);
            return tdd.isPresent() || outside
                    ? LinkShare.none(name, tdd.isPresent() ? "it does not follow TDD" : "")
                    : LinkShare.unknown(name, "whether it follows TDD is not stated");
        }
        return LinkShare.of(name, band, downlink, uplink);
    }
}
