package syntoma.app.logbook;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import syntoma.core.reading.Quantity;

/** The columns of the CSV form, in the order of an export. */
enum Column {
    TAKEN_AT("takenAt", 40),
    CAMPSITE("campsite", 120),
    LAT("lat", 42),
    LON("lon", 42),
    SETUP("setup", 120),
    CARRIER("carrier", 120),
    RAT("rat", 8),
    BAND("band", 16),
    ARFCN("arfcn", 10),
    CELL_ID("cellId", 40),
    RSSI_DBM(Quantity.RSSI),
    RSRP_DBM(Quantity.RSRP),
    RSRQ_DB(Quantity.RSRQ),
    SINR_DB(Quantity.SINR),
    DOWN_MBPS(Quantity.DOWN),
    UP_MBPS(Quantity.UP),
    IDLE_MS(Quantity.IDLE),
    DOWN_LOADED_MS(Quantity.DOWN_LOADED),
    UP_LOADED_MS(Quantity.UP_LOADED),
    JITTER_MS(Quantity.JITTER),
    LOSS_PCT(Quantity.LOSS),
    SERVER("server", 200),
    OUTCOME("outcome", 12),
    TRIAL("trial", 120),
    ROUND("round", 6),
    NOTE("note", 4000);

    final String label = name().toLowerCase(Locale.ROOT);
    final String field;
    final int longest;
    final Optional<Quantity> quantity;

    Column(String field, int longest) {
        this.field = field;
        this.longest = longest;
        this.quantity = Optional.empty();
    }

    Column(Quantity quantity) {
        this.field = quantity.field();
        // 40 digits with their sign and point
        this.longest = 42;
        this.quantity = Optional.of(quantity);
    }

    static Optional<Column> labelled(String text) {
        return Arrays.stream(values())
                .filter(c -> c.label.equalsIgnoreCase(text.strip()))
                .findFirst();
    }
}
