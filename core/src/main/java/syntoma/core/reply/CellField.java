package syntoma.core.reply;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;

/** A figure of a cell that a router may report. */
public enum CellField {
    RAT("rat", "Technology", "", "rat", "tech", "technology", "accesstechnology"),
    BAND(
            "band",
            "Band",
            "",
            "band",
            "bandno",
            "bandnumber",
            "activeband",
            "lteband",
            "nrband",
            "freqband",
            "currentband"),
    ARFCN(
            "arfcn",
            "Channel",
            "",
            "arfcn",
            "earfcn",
            "nrarfcn",
            "dlearfcn",
            "earfcndl",
            "channel",
            "dlchannel",
            "channelnumber"),
    BANDWIDTH_MHZ(
            "bandwidthMhz", "Width", "MHz", "bandwidth", "bw", "dlbw", "dlbandwidth", "bandwidthmhz", "bwmhz", "width"),
    PCI("pci", "PCI", "", "pci", "pcid", "physcellid", "physicalcellid", "physicalcell"),
    CELL_ID(
            "cellId",
            "Cell",
            "",
            "cellid",
            "eci",
            "nci",
            "cgi",
            "ecgi",
            "ncgi",
            "globalcellid",
            "cellidentity",
            "ci",
            "cell"),
    RSSI_DBM("rssiDbm", "RSSI", "dBm", "rssi", "rssidbm"),
    RSRP_DBM("rsrpDbm", "RSRP", "dBm", "rsrp", "ssrsrp", "rsrpdbm", "nrrsrp", "ltersrp", "refpower", "referencepower"),
    RSRQ_DB("rsrqDb", "RSRQ", "dB", "rsrq", "ssrsrq", "rsrqdb", "nrrsrq", "ltersrq", "refquality", "referencequality"),
    SINR_DB("sinrDb", "SINR", "dB", "sinr", "snr", "rssinr", "sssinr", "cinr", "sinrdb", "snrdb", "nrsinr", "ltesinr");

    private final String field;
    private final String label;
    private final String unit;
    private final Set<String> names;

    CellField(String field, String label, String unit, String... names) {
        this.field = field;
        this.label = label;
        this.unit = unit;
        this.names = Set.of(names);
    }

    /** The name in the API. */
    public String field() {
        return field;
    }

    /** The name that a person knows it by. */
    public String label() {
        return label;
    }

    /** Its unit; empty for none. */
    public String unit() {
        return unit;
    }

    /** Whether a name, in lower case and letters and digits alone, is one of those that routers give it. */
    boolean isCalled(String plain) {
        return names.contains(plain);
    }

    /** Whether it is a level or a ratio of the radio. */
    public boolean isLevel() {
        return compareTo(RSSI_DBM) >= 0;
    }

    /** The field of a name in the API. */
    public static Optional<CellField> of(String field) {
        return Arrays.stream(values()).filter(f -> f.field.equals(field)).findFirst();
    }
}
