package syntoma.core.advice;

/**
 * Where and when.
 *
 * @param campsite by its number; one that was never logged for somewhere else
 * @param stay by its number
 */
public record StayContext(long campsite, long stay, DayPart part) {
    private static final long NOWHERE = Long.MIN_VALUE;

    /** The same place at another time of the day. */
    public StayContext in(DayPart other) {
        return new StayContext(campsite, stay, other);
    }

    /** A campsite where one has never been. */
    public static StayContext elsewhere(DayPart part) {
        return new StayContext(NOWHERE, NOWHERE, part);
    }
}
