package syntoma.core.reading;

/**
 * Levels written without their minus: a plain 97 for −97 dBm. A received level is never above zero, so that between 20 and 160
 * nothing else can be meant.
 */
public final class BareLevel {
    private static final double LEAST = 20;
    private static final double MOST = 160;
    private static final int LONGEST = 12;

    private BareLevel() {}

    /** Whether a value of a figure lacks its minus. */
    public static boolean lacksSign(Figure figure, double value) {
        return (figure == Figure.RSRP_DBM || figure == Figure.RSSI_DBM) && value >= LEAST && value <= MOST;
    }

    /** The text of a figure with the minus that it lacks; any other text as it is. */
    public static String withMinus(Figure figure, String text) {
        if (text.isEmpty() || text.length() > LONGEST || !Character.isDigit(text.charAt(0))) {
            return text;
        }
        try {
            return lacksSign(figure, Double.parseDouble(text.replace(',', '.'))) ? "-" + text : text;
        } catch (NumberFormatException notANumber) {
            return text;
        }
    }
}
