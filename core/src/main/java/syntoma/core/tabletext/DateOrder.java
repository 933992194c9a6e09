package syntoma.core.tabletext;

/** In which order a date's numbers stand where no month is named. */
public enum DateOrder {
    YEAR_FIRST("year first, as 2026-08-14"),
    DAY_FIRST("day first, as 14.8.2026"),
    MONTH_FIRST("month first, as 8/14/2026");

    private final String label;

    DateOrder(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
