package syntoma.core.reading;

import static syntoma.core.unit.Values.within;

import java.util.Optional;

/** A number that a measurement can hold, with its names, its unit and what is allowed. */
public enum Quantity {
    RSSI("rssiDbm", "rssi_dbm"),
    RSRP("rsrpDbm", "rsrp_dbm"),
    RSRQ("rsrqDb", "rsrq_db"),
    SINR("sinrDb", "sinr_db"),
    DOWN("downMbps", "down_mbps"),
    UP("upMbps", "up_mbps"),
    IDLE("idleMs", "idle_ms"),
    DOWN_LOADED("downLoadedMs", "down_loaded_ms"),
    UP_LOADED("upLoadedMs", "up_loaded_ms"),
    JITTER("jitterMs", "jitter_ms"),
    LOSS("lossPct", "loss_pct");

    private static final double MOST_MBPS = 100_000;
    private static final double MOST_MS = 600_000;

    private final String field;
    private final String column;

    Quantity(String field, String column) {
        this.field = field;
        this.column = column;
    }

    /** The field in the API. */
    public String field() {
        return field;
    }

    /** The column in the CSV form and in the tables. */
    public String column() {
        return column;
    }

    /** The radio metric this is a value of; empty for what a speed run reports. */
    public Optional<RadioMetric> radio() {
        return ordinal() <= SINR.ordinal() ? Optional.of(RadioMetric.valueOf(name())) : Optional.empty();
    }

    /**
     * Checks a value.
     *
     * @param rat empty when not stated; then what any technology can report is allowed
     * @param ok whether the run ended ok; an ok run that moved nothing does not exist, it is a failed run
     * @throws IllegalArgumentException naming the quantity, the value and what is allowed
     */
    public void check(double value, Optional<Rat> rat, boolean ok) {
        switch (this) {
            case RSSI, RSRP, RSRQ, SINR -> RadioMetric.valueOf(name()).check(value, rat);
            case DOWN, UP -> rate(value, ok);
            case IDLE -> within("idle latency", value, 0.01, MOST_MS, "ms");
            case DOWN_LOADED -> within("latency while downloading", value, 0.01, MOST_MS, "ms");
            case UP_LOADED -> within("latency while uploading", value, 0.01, MOST_MS, "ms");
            case JITTER -> within("jitter", value, 0, MOST_MS, "ms");
            case LOSS -> within("loss", value, 0, 100, "%");
        }
    }

    private void rate(double value, boolean ok) {
        String name = this == DOWN ? "download" : "upload";
        if (value == 0 && ok) {
            throw new IllegalArgumentException(
                    name + " is 0 Mb/s; a run that moved nothing is a failed run, so log its outcome as failed");
        }
        within(name, value, ok ? 0.001 : 0, MOST_MBPS, "Mb/s");
    }
}
