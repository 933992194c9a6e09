package syntoma.core.reply;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;

/** A figure of a cell that a router may report. */
public enum CellField {
    RAT("rat", "rat", "tech", "technology", "accesstechnology"),
    BAND("band", "band", "bandno", "bandnumber", "activeband", "lteband", "nrband", "freqband", "currentband"),
    ARFCN("arfcn", "arfcn", "earfcn", "nrarfcn", "dlearfcn", "earfcndl", "channel", "dlchannel", "channelnumber"),
    BANDWIDTH_MHZ("bandwidthMhz", "bandwidth", "bw", "dlbw", "dlbandwidth", "bandwidthmhz", "bwmhz", "width"),
    PCI("pci", "pci", "pcid", "physcellid", "physicalcellid", "physicalcell"),
    CELL_ID("cellId", "cellid", "eci", "nci", "cgi", "ecgi", "ncgi", "globalcellid", "cellidentity", "ci", "cell"),
    RSSI_DBM("rssiDbm", "rssi", "rssidbm"),
    RSRP_DBM("rsrpDbm", "rsrp", "ssrsrp", "rsrpdbm", "nrrsrp", "ltersrp", "refpower", "referencepower"),
    RSRQ_DB("rsrqDb", "rsrq", "ssrsrq", "rsrqdb", "nrrsrq", "ltersrq", "refquality", "referencequality"),
    SINR_DB("sinrDb", "sinr", "snr", "rssinr", "sssinr", "cinr", "sinrdb", "snrdb", "nrsinr", "ltesinr");

    private final String field;
    private final Set<String> names;

    CellField(String field, String... names) {
        this.field = field;
        this.names = Set.of(names);
    }

    /** The name in the API. */
    public String field() {
        return field;
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
