package syntoma.core.advice;

/** Parts of the day in which cells are differently busy. */
public enum DayPart {
    /** Before six in the morning. */
    NIGHT,
    /** From six to five in the afternoon. */
    DAY,
    /** From five in the afternoon, when others are at home. */
    EVENING;

    private static final int MORNING = 6;
    private static final int AFTERNOON_ENDS = 17;
    private static final int LATE = 23;

    /** Of any day, such as “in the evening”. */
    String words() {
        return switch (this) {
            case DAY -> "in work hours";
            case EVENING -> "in the evening";
            case NIGHT -> "at night";
        };
    }

    /** @param hour of the local time, 0 to 23 */
    public static DayPart of(int hour) {
        if (hour < MORNING || hour >= LATE) {
            return NIGHT;
        }
        return hour < AFTERNOON_ENDS ? DAY : EVENING;
    }
}
