package syntoma.core.reply;

import java.util.Optional;

/**
 * A cell as a device reports it; what it does not report is empty.
 *
 * @param rat LTE, NR, UMTS or GSM
 * @param band such as B20 or n78
 * @param arfcn the downlink channel
 * @param cellId the full ECI or NCI as decimal text
 */
public record Cell(
        Role role,
        Optional<String> rat,
        Optional<String> band,
        Optional<Integer> arfcn,
        Optional<Double> bandwidthMhz,
        Optional<Integer> pci,
        Optional<String> cellId,
        Optional<Double> rssiDbm,
        Optional<Double> rsrpDbm,
        Optional<Double> rsrqDb,
        Optional<Double> sinrDb) {

    /** Whether it says anything that makes it a cell: a band, channel, width, identity or level. */
    public boolean isThere() {
        return band.isPresent()
                || arfcn.isPresent()
                || bandwidthMhz.isPresent()
                || pci.isPresent()
                || cellId.isPresent()
                || rssiDbm.isPresent()
                || rsrpDbm.isPresent()
                || rsrqDb.isPresent()
                || sinrDb.isPresent();
    }
}
