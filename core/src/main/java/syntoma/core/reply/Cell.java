package syntoma.core.reply;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;
import syntoma.core.reading.RadioMetric;
import syntoma.core.unit.Values;

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

    /** Its figures in words: “Band B20, RSRP −97 dBm”. */
    public String says() {
        return Arrays.stream(CellField.values())
                .flatMap(field ->
                        text(field).stream().map(text -> (field.label() + " " + text + " " + field.unit()).strip()))
                .collect(Collectors.joining(", "));
    }

    private Optional<String> text(CellField field) {
        return switch (field) {
            case RAT -> rat;
            case BAND -> band;
            case ARFCN -> arfcn.map(String::valueOf);
            case BANDWIDTH_MHZ -> bandwidthMhz.map(Values::format);
            case PCI -> pci.map(String::valueOf);
            case CELL_ID -> cellId;
            case RSSI_DBM -> rssiDbm.map(Values::format);
            case RSRP_DBM -> rsrpDbm.map(Values::format);
            case RSRQ_DB -> rsrqDb.map(Values::format);
            case SINR_DB -> sinrDb.map(Values::format);
        };
    }

    /** The level on a metric. */
    public Optional<Double> level(RadioMetric metric) {
        return switch (metric) {
            case RSSI -> rssiDbm;
            case RSRP -> rsrpDbm;
            case RSRQ -> rsrqDb;
            case SINR -> sinrDb;
        };
    }

    /** Whether it is one cell with another, by what both of them say of themselves. */
    public boolean isSame(Cell other) {
        return band.equals(other.band)
                && arfcn.equals(other.arfcn)
                && pci.equals(other.pci)
                && cellId.equals(other.cellId);
    }
}
