package syntoma.core.state;

import java.util.EnumMap;
import java.util.Map;

/** What hands do between two visits, with the minutes it usually takes (rules of thumb, to be learned from the run sheet). */
public enum Work {
    DEVICE("another device", 5),
    SIM("a SIM into another device, with the power off", 3),
    SIM_SLOT("the other SIM, in the menu", 0.5),
    SOURCE("another source, in the menu", 1),
    MAST_DOWN("a mast down", 6),
    MAST_UP("a mast up", 10),
    LEADS("other antenna leads", 4),
    BOOSTER("the booster on or off", 1),
    PLACE("the device or an antenna in another place", 1),
    BANDS("other bands", 1),
    UNKNOWN("a setup whose parts are not known", 5);

    private final String says;
    private final double usualMinutes;

    Work(String says, double usualMinutes) {
        this.says = says;
        this.usualMinutes = usualMinutes;
    }

    public String says() {
        return says;
    }

    /** The minutes of each, as they usually are. */
    public static Map<Work, Double> usual() {
        Map<Work, Double> minutes = new EnumMap<>(Work.class);
        for (Work work : values()) {
            minutes.put(work, work.usualMinutes);
        }
        return minutes;
    }
}
