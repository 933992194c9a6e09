package syntoma.app.measurement;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import syntoma.core.reading.Figure;

/** A stored measurement as it would be typed: each figure that it has by its field, with the digits it was written in. */
final class RowTexts {
    private RowTexts() {}

    static Map<String, String> of(MeasurementRow row, String campsite, String setup, String carrier) {
        Map<String, String> texts = new LinkedHashMap<>();
        for (Figure figure : Figure.values()) {
            String text = figure.isNumber()
                    ? Numbers.text(figure, row.number(figure), row.digits)
                    : switch (figure) {
                        case TAKEN_AT -> row.takenAt.toString();
                        case CAMPSITE -> campsite;
                        case SETUP -> setup;
                        case CARRIER -> carrier;
                        case RAT -> orEmpty(row.rat);
                        case BAND -> orEmpty(row.band);
                        case ARFCN -> orEmpty(row.arfcn);
                        case OUTCOME -> row.outcome;
                        case TRIAL -> orEmpty(row.trial);
                        case ROUND -> orEmpty(row.round);
                        default -> orEmpty(row.text(figure));
                    };
            if (!text.isEmpty()) {
                texts.put(figure.field(), text);
            }
        }
        return texts;
    }

    /** What it measured in words: each number with its unit, or how it ended when it is not ok. */
    static String resultText(MeasurementRow row) {
        if (!row.hasSucceeded()) {
            return row.outcome.replace('_', ' ');
        }
        return Figure.numbers().stream()
                .filter(figure -> row.number(figure) != null)
                .map(figure -> figure.measure().phrase() + " "
                        + Numbers.text(figure, row.number(figure), row.digits).replace('-', '−') + " "
                        + figure.measure().unit())
                .collect(Collectors.joining(", "));
    }

    private static String orEmpty(@Nullable Object value) {
        return value == null ? "" : value.toString();
    }
}
