package syntoma.core.tabletext;

import java.util.Optional;
import syntoma.core.reading.Figure;

/**
 * One column of a table and what it is taken for.
 *
 * @param heading as it stands in the table
 * @param use what is done with it
 * @param figure of a column that holds one
 * @param unit of its numbers, where a cell names none
 * @param of which of several measurements of a row it belongs to; empty for all of them
 */
public record Column(String heading, Use use, Optional<Figure> figure, Quantity unit, String of) {
    /** What is done with a column. */
    public enum Use {
        /** It holds a figure of the catalogue. */
        FIGURE("figure"),
        /** It holds the day. */
        DATE("date"),
        /** It holds the time of day. */
        CLOCK("clock"),
        /** It holds latitude and longitude in one. */
        COORDINATES("coordinates"),
        /** It is kept in the note under its heading. */
        NOTE("note"),
        /** It is not read. */
        LEFT_OUT("left-out");

        private final String label;

        Use(String label) {
            this.label = label;
        }

        /** The name in the API. */
        public String label() {
            return label;
        }
    }

    public Column {
        if (figure.isPresent() != (use == Use.FIGURE)) {
            throw new IllegalArgumentException(
                    "column " + heading + " is used as " + use.label() + "; a figure is named where it is used as one");
        }
    }

    /** A column that holds a figure. */
    public static Column of(String heading, Figure figure, Quantity unit) {
        return new Column(heading, Use.FIGURE, Optional.of(figure), unit, "");
    }

    /** A column that holds something else, or nothing that is read. */
    public static Column of(String heading, Use use) {
        return new Column(heading, use, Optional.empty(), Quantity.OWN, "");
    }

    /** The same, of one of several measurements of a row. */
    public Column ofOne(String label) {
        return new Column(heading, use, figure, unit, label);
    }

    /** Whether it says something of one of a row's measurements. */
    boolean belongsTo(String label) {
        return of.isEmpty() || of.equals(label);
    }

    boolean is(Figure wanted) {
        return figure.filter(wanted::equals).isPresent();
    }
}
