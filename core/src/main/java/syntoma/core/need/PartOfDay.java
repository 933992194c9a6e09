package syntoma.core.need;

import syntoma.core.unit.Labels;

/** Parts of the day that a need can fall into; needs of the same part are met at the same time. */
public enum PartOfDay {
    WORK_HOURS("work hours"),
    EVENINGS("evenings"),
    NIGHTS("nights"),
    ANY_TIME("any time");

    private final String label;

    PartOfDay(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /**
     * The part of a label.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static PartOfDay fromLabel(String text) {
        return Labels.find("part of the day", text, values(), PartOfDay::label);
    }
}
