package syntoma.app.measurement;

import com.fasterxml.jackson.annotation.JsonAnySetter;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Moment;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Channel;
import syntoma.core.reading.BareLevel;
import syntoma.core.reading.Consistency;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Placing;
import syntoma.core.reading.RadioMetric;
import syntoma.core.reading.Rat;
import syntoma.core.unit.DataRate;
import syntoma.core.unit.FieldProblem;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Reads the form of one measurement by the same rules as a row of a file, and says what its values mean. */
@Component
class MeasurementForm {
    /** Not typed: they belong to the campsite, not to what was measured there. */
    private static final Set<Figure> NOT_TYPED = EnumSet.of(Figure.LAT, Figure.LON);

    /** How far the clock of who types may be ahead. */
    private static final Duration CLOCKS_DIFFER = Duration.ofMinutes(5);

    private final Clock clock;

    MeasurementForm(Clock clock) {
        this.clock = clock;
    }

    /**
     * A measurement as typed, by the fields of the catalogue. Every part may be missing; numbers may be texts, and rates
     * may carry their unit.
     */
    @Schema(name = "MeasurementRequest")
    record Request(@JsonAnySetter Map<String, String> typed) {}

    /** What a form says so far. */
    record Check(
            List<FieldProblem> problems,
            List<GradeOf> grades,
            List<RateOf> rates,
            @Nullable String band,
            List<String> candidates,
            @Nullable Double downlinkMhz,
            @Nullable Double uplinkMhz,
            List<String> remarks) {}

    /** The grade of one metric. */
    record GradeOf(String field, String grade) {}

    /** How a rate was read. */
    record RateOf(String field, double mbps, boolean unitStated, boolean bytes) {}

    /** A form read: a measurement, or what is wrong, named by the fields of the API. */
    record Result(Optional<NewMeasurement> measurement, List<FieldProblem> problems) {}

    Result read(Request request) {
        Map<Figure, String> texts = texts(request);
        List<FieldProblem> problems = new ArrayList<>();
        for (Figure column : List.of(Figure.DOWN_MBPS, Figure.UP_MBPS)) {
            try {
                rate(texts.get(column))
                        .filter(DataRate::isUnitStated)
                        .ifPresent(rate -> texts.put(column, rateText(rate)));
            } catch (IllegalArgumentException refused) {
                problems.add(new FieldProblem(column.field(), refused.getMessage()));
                texts.put(column, "");
            }
        }
        if (texts.get(Figure.BAND).isEmpty()) {
            channel(texts).flatMap(Channel::band).ifPresent(band -> texts.put(Figure.BAND, band.name()));
        }
        texts.replaceAll(BareLevel::withMinus);
        MeasurementReader reader = new MeasurementReader(true);
        Optional<NewMeasurement> measurement = reader.read(texts::get);
        for (FieldProblem problem : reader.problems()) {
            String field = Figure.fromLabel(problem.field()).orElseThrow().field();
            problems.add(new FieldProblem(field, problem.message()));
        }
        measurement
                .map(NewMeasurement::takenAt)
                .filter(at -> at.isAfter(OffsetDateTime.now(clock).plus(CLOCKS_DIFFER)))
                .ifPresent(at -> problems.add(new FieldProblem(
                        Figure.TAKEN_AT.field(), "takenAt is " + Moment.text(at) + ", which is still to come")));
        return new Result(problems.isEmpty() ? measurement : Optional.empty(), problems);
    }

    Check check(Request request) {
        Map<Figure, String> texts = texts(request);
        texts.replaceAll(BareLevel::withMinus);
        List<GradeOf> grades = new ArrayList<>();
        for (Figure column : isOfCell(texts) ? Figure.numbers() : List.<Figure>of()) {
            column.measure().radio().filter(RadioMetric::isGraded).ifPresent(metric -> number(texts.get(column))
                    .ifPresent(value -> grades.add(
                            new GradeOf(column.field(), metric.grade(value).word()))));
        }
        List<RateOf> rates = new ArrayList<>();
        for (Figure column : List.of(Figure.DOWN_MBPS, Figure.UP_MBPS)) {
            try {
                rate(texts.get(column))
                        .ifPresent(
                                r -> rates.add(new RateOf(column.field(), r.mbps(), r.isUnitStated(), r.isInBytes())));
            } catch (IllegalArgumentException refused) {
                // said among the problems
            }
        }
        Optional<Channel> channel = channel(texts);
        return new Check(
                read(request).problems(),
                grades,
                rates,
                channel.flatMap(Channel::band).map(Band::name).orElse(null),
                channel.map(c -> c.candidates().stream().map(Band::name).toList())
                        .orElse(List.of()),
                channel.map(Channel::downlinkMhz).orElse(null),
                channel.flatMap(Channel::uplinkMhz).orElse(null),
                Consistency.remarks(
                        number(texts.get(Figure.RSSI_DBM)),
                        number(texts.get(Figure.RSRP_DBM)),
                        number(texts.get(Figure.RSRQ_DB))));
    }

    private static Optional<Channel> channel(Map<Figure, String> texts) {
        try {
            Optional<Rat> rat =
                    Optional.of(texts.get(Figure.RAT)).filter(t -> !t.isEmpty()).map(Rat::fromLabel);
            Optional<Band> band = Optional.of(texts.get(Figure.BAND))
                    .filter(t -> !t.isEmpty())
                    .map(Bands::of);
            String number = texts.get(Figure.ARFCN);
            return number.isEmpty()
                    ? Optional.empty()
                    : Optional.of(Placing.channel(rat, band, Integer.parseInt(number)));
        } catch (IllegalArgumentException notYet) {
            return Optional.empty();
        }
    }

    /** Whether a cell carried it; an empty or a wrong technology counts as one. */
    private static boolean isOfCell(Map<Figure, String> texts) {
        try {
            return texts.get(Figure.RAT).isEmpty()
                    || Rat.fromLabel(texts.get(Figure.RAT)).isCellular();
        } catch (IllegalArgumentException notYet) {
            return true;
        }
    }

    private static OptionalDouble number(String text) {
        return text.length() > Figure.RSRP_DBM.longest() ? OptionalDouble.empty() : Values.typed(text);
    }

    private static Optional<DataRate> rate(String text) {
        boolean number = text.isEmpty() || text.startsWith("-") || text.startsWith("−");
        return number ? Optional.empty() : Optional.of(DataRate.parse(text));
    }

    private static String rateText(DataRate rate) {
        return BigDecimal.valueOf(rate.mbps()).stripTrailingZeros().toPlainString();
    }

    private static Map<Figure, String> texts(Request request) {
        Map<String, String> typed = new HashMap<>(request.typed() == null ? Map.of() : request.typed());
        Map<Figure, String> texts = new EnumMap<>(Figure.class);
        for (Figure figure : Figure.values()) {
            String value = NOT_TYPED.contains(figure) ? null : typed.remove(figure.field());
            texts.put(figure, value == null ? "" : value.strip());
        }
        if (!typed.isEmpty()) {
            throw new InvalidInputException(typed.keySet().stream()
                    .map(name -> new FieldProblem(Text.shortened(name), Text.quote(name) + " is no field of this"))
                    .toList());
        }
        return texts;
    }
}
