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
 * @param tdd whether it follows the turns of a TDD band; one that is not said to, does not cover such bands
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
        if (band.duplex() == Duplex.TDD && !tdd.orElse(false)) {
            return LinkShare.none(name, "it does not follow TDD");
        }
        if (uplink.isEmpty() && downlink.isEmpty()) {
            return LinkShare.unknown(name);
        }
        return LinkShare.of(name, band, downlink, uplink);
    }
}
