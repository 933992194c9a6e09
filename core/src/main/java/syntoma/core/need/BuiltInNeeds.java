package syntoma.core.need;

import java.util.List;
import java.util.OptionalDouble;

/**
 * The needs that come with Syntoma; each can be changed.
 *
 * <pre>{@code
 * BuiltInNeeds.uploadMbps(18, 8) // 5.00
 * }</pre>
 */
public final class BuiltInNeeds {
    /** The need whose rate follows from the usual upload. */
    public static final String LARGE_UPLOADS = "Large uploads";

    /** A night, where nobody has said how much. */
    public static final double USUAL_UPLOAD_GB = 11;

    private BuiltInNeeds() {}

    /** Messages, mail and maps, video calls, HD and UHD film, and large uploads of 11 GB in an 8-hour night. */
    public static List<Need> all() {
        return List.of(
                need("Messages", 0.1, 0.1, 0, 0, PartOfDay.ANY_TIME, 1),
                need("Mail and maps", 1, 0.3, 0, 0, PartOfDay.ANY_TIME, 1),
                need("Video calls", 3, 3, 250, 2, PartOfDay.WORK_HOURS, 3),
                need("HD film", 8, 0, 0, 0, PartOfDay.EVENINGS, 2),
                need("UHD film", 25, 0, 0, 0, PartOfDay.EVENINGS, 2),
                upload(USUAL_UPLOAD_GB, 8));
    }

    /** An amount that must be up within so many hours of a night. */
    public static Need upload(double gbANight, double hours) {
        return new Need(
                LARGE_UPLOADS,
                OptionalDouble.empty(),
                OptionalDouble.of(uploadMbps(gbANight, hours)),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                PartOfDay.NIGHTS,
                hours);
    }

    /** The rate that an amount takes, in Mb/s to the hundredth. */
    public static double uploadMbps(double gbANight, double hours) {
        return Math.round(100 * Transfer.mbps(gbANight, hours)) / 100.0;
    }

    private static Need need(
            String name, double down, double up, double loadedMs, double lossPct, PartOfDay when, double hours) {
        return new Need(name, above0(down), above0(up), above0(loadedMs), above0(lossPct), when, hours);
    }

    private static OptionalDouble above0(double value) {
        return value > 0 ? OptionalDouble.of(value) : OptionalDouble.empty();
    }
}
