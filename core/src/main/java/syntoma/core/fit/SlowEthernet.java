package syntoma.core.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.chain.Device;
import syntoma.core.unit.Values;

/** An Ethernet port or a Wi-Fi slower than the modem is the ceiling of all that uses it. */
final class SlowEthernet implements FitRule {
    @Override
    public List<FitFinding> check(FitCase fit) {
        if (!fit.chain().isCellular() || fit.chain().device().isEmpty()) {
            return List.of();
        }
        Device d = fit.chain().device().get();
        boolean slowPort = isSlower(d.ethernetMbps(), d.downMaxMbps());
        boolean slowWifi = isSlower(d.wifiMbps(), d.downMaxMbps());
        List<FitFinding> findings = new ArrayList<>();
        if (slowPort) {
            findings.add(FitFinding.caution(
                    "slow-ethernet",
                    d.name(),
                    "The " + Values.format(d.ethernetMbps().getAsDouble())
                            + " Mb/s Ethernet port is slower than the modem ("
                            + Values.format(d.downMaxMbps().getAsDouble()) + " Mb/s).",
                    slowWifi
                            ? "Its Wi-Fi of at most "
                                    + Values.format(d.wifiMbps().getAsDouble())
                                    + " Mb/s is slower too: expect no more than that."
                            : "Use Wi-Fi where speed matters."));
        }
        if (slowWifi && !slowPort) {
            findings.add(FitFinding.note(
                    "slow-wifi",
                    d.name(),
                    "Its Wi-Fi of at most " + Values.format(d.wifiMbps().getAsDouble())
                            + " Mb/s is slower than the modem ("
                            + Values.format(d.downMaxMbps().getAsDouble())
                            + " Mb/s), and in a room about half of it remains.",
                    "Use the Ethernet port where speed matters."));
        }
        return findings;
    }

    private static boolean isSlower(OptionalDouble port, OptionalDouble modem) {
        return port.isPresent()
                && modem.isPresent()
                && port.getAsDouble() > 0
                && port.getAsDouble() < modem.getAsDouble();
    }
}
