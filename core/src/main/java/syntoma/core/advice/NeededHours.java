package syntoma.core.advice;

import java.util.List;
import syntoma.core.need.PartOfDay;
import syntoma.core.need.Requirement;
import syntoma.core.unit.Text;

/**
 * When something is needed, and what is needed then. A cell that does at noon may not in the evening, so that a need is judged by its
 * own hours.
 *
 * @param needs their names
 * @param text in words, such as “this evening”; “now” for needs of any time and for those of the present part of the day
 */
public record NeededHours(DayPart part, String needs, String text, Outlook.RunRequirement requirement) {
    static final String NOW = "now";

    /** The hours of some needs, those of a part of the day together. */
    public static List<NeededHours> of(Requirement needs, DayPart now) {
        if (needs.parts().isEmpty()) {
            return List.of(new NeededHours(now, "", NOW, Outlook.RunRequirement.of(needs)));
        }
        return needs.parts().stream().map(p -> of(p, now)).toList();
    }

    private static NeededHours of(Requirement.PerPart needs, DayPart now) {
        Outlook.RunRequirement asked =
                new Outlook.RunRequirement(needs.downMbps(), needs.upMbps(), needs.loadedMs(), needs.lossPct());
        DayPart part = part(needs.part(), now);
        return new NeededHours(part, Text.list(needs.needs()), part == now ? NOW : words(part), asked);
    }

    private static DayPart part(PartOfDay needed, DayPart now) {
        return switch (needed) {
            case WORK_HOURS -> DayPart.DAY;
            case EVENINGS -> DayPart.EVENING;
            case NIGHTS -> DayPart.NIGHT;
            case ANY_TIME -> now;
        };
    }

    private static String words(DayPart part) {
        return switch (part) {
            case DAY -> "in work hours";
            case EVENING -> "this evening";
            case NIGHT -> "tonight";
        };
    }

    /** Whether it is needed at the present time of the day. */
    public boolean isNow() {
        return text.equals(NOW);
    }
}
