package syntoma.core.fit;

import java.util.List;
import syntoma.core.unit.Values;

/** An Ethernet port slower than the modem is the ceiling of all that is plugged in. */
final class SlowEthernet implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {

        return fit.chain().device().stream()
                .filter(d -> d.ethernetMbps().isPresent()
                        && d.downMaxMbps().isPresent()
                        && d.ethernetMbps().getAsDouble() > 0
                        && d.ethernetMbps().getAsDouble() < d.downMaxMbps().getAsDouble())
                .map(d -> FitFinding.caution(
                        "slow-ethernet",
                        d.name(),
                        "The " + Values.plain(d.ethernetMbps().getAsDouble())
                                + " Mb/s Ethernet port is slower than the modem ("
                                + Values.plain(d.downMaxMbps().getAsDouble()) + " Mb/s).",
                        "Use Wi-Fi where speed matters."))
                .toList();
    }
}
