package syntoma.app.measurement;

import java.time.DateTimeException;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Placing;
import syntoma.core.reading.Rat;
import syntoma.core.trial.Outcome;
import syntoma.core.unit.FieldProblem;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * Turns the texts of one measurement, from a file or from the form, into values, and says all that is wrong with them.
 * Problems name the column.
 */
public final class MeasurementReader {
    /** Years that anything of the log can lie in. */
    public static final int FIRST_YEAR = 2000;

    public static final int LAST_YEAR = 2100;

    private final boolean decimalComma;
    private final List<FieldProblem> problems = new ArrayList<>();
    private Function<Figure, String> texts;

    /** With {@code decimalComma}, a number may be written 97,5. */
    public MeasurementReader(boolean decimalComma) {
        this.decimalComma = decimalComma;
    }

    /** What was wrong with the last measurement read. */
    public List<FieldProblem> problems() {
        return List.copyOf(problems);
    }

    /** Reads one measurement; empty when there are problems. Missing columns give the empty text. */
    public Optional<NewMeasurement> read(Function<Figure, String> source) {
        problems.clear();
        texts = source;
        OffsetDateTime takenAt = time();
        String campsite = require(Figure.CAMPSITE);
        String setup = require(Figure.SETUP);
        Optional<Rat> rat = parse(Figure.RAT, Rat::fromLabel);
        Optional<Outcome> outcome = Optional.empty();
        if (!require(Figure.OUTCOME).isEmpty()) {
            outcome = parse(Figure.OUTCOME, Outcome::fromLabel);
        }
        boolean ok = outcome.orElse(Outcome.FAILED) == Outcome.OK;
        String lat = degrees(Figure.LAT, 90);
        String lon = degrees(Figure.LON, 180);
        OptionalInt arfcn = integer(Figure.ARFCN, 0, 3279165);
        OptionalInt round = integer(Figure.ROUND, 1, 99999);
        String band = text(Figure.BAND);
        List<FieldProblem> placing = Placing.problems(rat, band, arfcn);
        problems.addAll(placing);
        Numbers numbers = numbers(rat, ok);
        if (ok && numbers.isEmpty() && problems.isEmpty()) {
            problem(Figure.OUTCOME, "outcome is ok, but there is no metric; an ok measurement has at least one");
        }
        String trial = text(Figure.TRIAL);
        if (round.isPresent() && trial.isEmpty()) {
            problem(Figure.ROUND, "round is " + round.getAsInt() + ", but trial is empty; a round belongs to a trial");
        }
        String carrier = text(Figure.CARRIER);
        Map<Figure, String> plain = new EnumMap<>(Figure.class);
        Figure.texts().forEach(figure -> plain.put(figure, text(figure)));
        if (!problems.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new NewMeasurement(
                takenAt,
                campsite,
                lat,
                lon,
                setup,
                carrier,
                rat,
                Placing.name(rat, band),
                arfcn,
                numbers,
                plain,
                outcome.orElseThrow(),
                trial,
                round));
    }

    private OffsetDateTime time() {
        String text = require(Figure.TAKEN_AT);
        if (text.isEmpty()) {
            return null;
        }
        try {
            OffsetDateTime time = Times.parse(text);
            if (time.getYear() >= FIRST_YEAR && time.getYear() <= LAST_YEAR) {
                return time;
            }
            problem(Figure.TAKEN_AT, "taken_at is in the year " + time.getYear() + "; allowed is 2000 to 2100");
        } catch (DateTimeException e) {
            problem(
                    Figure.TAKEN_AT,
                    "taken_at is " + Text.quote(text)
                            + "; write a time with its offset, such as 2026-08-14T18:05:00+03:00");
        }
        return null;
    }

    private Numbers numbers(Optional<Rat> rat, boolean ok) {
        Numbers numbers = new Numbers();
        for (Figure column : Figure.numbers()) {
            String text = decimal(column);
            if (text.isEmpty()) {
                continue;
            }
            try {
                column.measure().check(Double.parseDouble(text), rat, ok);
                numbers.put(column, text);
            } catch (IllegalArgumentException refused) {
                problem(column, refused.getMessage());
            }
        }
        return numbers;
    }

    private String degrees(Figure column, double limit) {
        String text = decimal(column);
        if (text.isEmpty()) {
            return text;
        }
        try {
            Values.within(column.label(), Double.parseDouble(text), -limit, limit, "°");
            return text;
        } catch (IllegalArgumentException refused) {
            problem(column, refused.getMessage());
            return "";
        }
    }

    private OptionalInt integer(Figure column, int low, int high) {
        String text = text(column);
        if (text.isEmpty()) {
            return OptionalInt.empty();
        }
        if (text.length() <= column.longest() && text.chars().allMatch(c -> c >= '0' && c <= '9')) {
            long value = Long.parseLong(text);
            if (value >= low && value <= high) {
                return OptionalInt.of((int) value);
            }
        }
        problem(
                column,
                column.label() + " is " + Text.quote(text) + "; allowed is a whole number from " + low + " to " + high);
        return OptionalInt.empty();
    }

    /** A number as plain decimal text, the sign and the point in ASCII; empty when missing or refused. */
    private String decimal(Figure column) {
        String text = text(column);
        if (text.isEmpty()) {
            return text;
        }
        String plain = text.replace('−', '-');
        if (decimalComma) {
            plain = plain.replace(',', '.');
        }
        if (plain.startsWith("+")) {
            plain = plain.substring(1);
        }
        if (isDecimal(plain)) {
            return plain;
        }
        String hint = text.indexOf(',') >= 0 && isDecimal(plain.replace(',', '.'))
                ? "; in a file separated by commas write the decimal point: " + plain.replace(',', '.')
                : "; allowed is a number such as −97.5";
        problem(column, column.label() + " is " + Text.quote(text) + hint);
        return "";
    }

    private static boolean isDecimal(String text) {
        int start = text.startsWith("-") ? 1 : 0;
        boolean point = false;
        for (int i = start; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == '.' && !point && i > start && i < text.length() - 1) {
                point = true;
            } else if (c < '0' || c > '9') {
                return false;
            }
        }
        return text.length() > start;
    }

    private <T> Optional<T> parse(Figure column, Function<String, T> parser) {
        String text = text(column);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(parser.apply(text));
        } catch (IllegalArgumentException refused) {
            problem(column, refused.getMessage());
            return Optional.empty();
        }
    }

    private String require(Figure column) {
        String text = text(column);
        if (text.isEmpty() && texts.apply(column).isEmpty()) {
            problem(column, column.label() + " is missing");
        }
        return text;
    }

    private String text(Figure column) {
        String text = texts.apply(column);
        if (text.length() > column.longest()) {
            problem(
                    column,
                    column.label() + " has " + text.length() + " characters; allowed are up to " + column.longest());
            return "";
        }
        try {
            return column == Figure.NOTE ? Text.lines(column.label(), text) : Text.visible(column.label(), text);
        } catch (IllegalArgumentException refused) {
            problem(column, refused.getMessage());
            return "";
        }
    }

    private void problem(Figure column, String message) {
        FieldProblem problem = new FieldProblem(column.label(), message);
        if (!problems.contains(problem)) {
            problems.add(problem);
        }
    }
}
