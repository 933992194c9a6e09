package syntoma.app.logbook;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Channel;
import syntoma.core.reading.Consistency;
import syntoma.core.reading.Placing;
import syntoma.core.reading.Quantity;
import syntoma.core.reading.RadioMetric;
import syntoma.core.reading.Rat;
import syntoma.core.unit.DataRate;
import syntoma.core.unit.FieldProblem;

/** Reads the form of one measurement by the same rules as a row of a file, and says what its values mean. */
@Component
class MeasurementForm {
    /** A measurement as typed. Every part may be missing; numbers may be texts, and rates may carry their unit. */
    @Schema(name = "MeasurementRequest")
    record Request(
            String takenAt,
            String campsite,
            String setup,
            String carrier,
            String rat,
            String band,
            String arfcn,
            String cellId,
            String rssiDbm,
            String rsrpDbm,
            String rsrqDb,
            String sinrDb,
            String downMbps,
            String upMbps,
            String idleMs,
            String downLoadedMs,
            String upLoadedMs,
            String jitterMs,
            String lossPct,
            String server,
            String outcome,
            String trial,
            String round,
            String note) {}

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
        Map<Column, String> texts = texts(request);
        List<FieldProblem> problems = new ArrayList<>();
        for (Column column : List.of(Column.DOWN_MBPS, Column.UP_MBPS)) {
            try {
                rate(texts.get(column)).filter(DataRate::stated).ifPresent(rate -> texts.put(column, plain(rate)));
            } catch (IllegalArgumentException refused) {
                problems.add(new FieldProblem(column.field, refused.getMessage()));
                texts.put(column, "");
            }
        }
        if (texts.get(Column.BAND).isEmpty()) {
            channel(texts).flatMap(Channel::band).ifPresent(band -> texts.put(Column.BAND, band.name()));
        }
        MeasurementReader reader = new MeasurementReader(true);
        Optional<NewMeasurement> measurement = reader.read(texts::get);
        for (FieldProblem problem : reader.problems()) {
            String field = Column.labelled(problem.field()).orElseThrow().field;
            problems.add(new FieldProblem(field, problem.message()));
        }
        return new Result(problems.isEmpty() ? measurement : Optional.empty(), problems);
    }

    Check check(Request request) {
        Map<Column, String> texts = texts(request);
        List<GradeOf> grades = new ArrayList<>();
        for (Column column : Column.values()) {
            column.quantity
                    .flatMap(Quantity::radio)
                    .filter(RadioMetric::isGraded)
                    .ifPresent(metric -> number(texts.get(column))
                            .ifPresent(value -> grades.add(new GradeOf(
                                    column.field, metric.grade(value).word()))));
        }
        List<RateOf> rates = new ArrayList<>();
        for (Column column : List.of(Column.DOWN_MBPS, Column.UP_MBPS)) {
            try {
                rate(texts.get(column))
                        .ifPresent(r -> rates.add(new RateOf(column.field, r.mbps(), r.stated(), r.bytes())));
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
                        number(texts.get(Column.RSSI_DBM)),
                        number(texts.get(Column.RSRP_DBM)),
                        number(texts.get(Column.RSRQ_DB))));
    }

    private static Optional<Channel> channel(Map<Column, String> texts) {
        try {
            Optional<Rat> rat =
                    Optional.of(texts.get(Column.RAT)).filter(t -> !t.isEmpty()).map(Rat::labelled);
            Optional<Band> band = Optional.of(texts.get(Column.BAND))
                    .filter(t -> !t.isEmpty())
                    .map(Bands::named);
            String number = texts.get(Column.ARFCN);
            return number.isEmpty()
                    ? Optional.empty()
                    : Optional.of(Placing.channel(rat, band, Integer.parseInt(number)));
        } catch (IllegalArgumentException notYet) {
            return Optional.empty();
        }
    }

    private static OptionalDouble number(String text) {
        try {
            return text.isEmpty() || text.length() > Column.RSRP_DBM.longest
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(
                            Double.parseDouble(text.replace('−', '-').replace(',', '.')));
        } catch (NumberFormatException notYet) {
            return OptionalDouble.empty();
        }
    }

    private static Optional<DataRate> rate(String text) {
        boolean number = text.isEmpty() || text.startsWith("-") || text.startsWith("−");
        return number ? Optional.empty() : Optional.of(DataRate.parse(text));
    }

    private static String plain(DataRate rate) {
        return BigDecimal.valueOf(rate.mbps()).stripTrailingZeros().toPlainString();
    }

    private static Map<Column, String> texts(Request r) {
        Map<Column, String> texts = new EnumMap<>(Column.class);
        String[] values = {
            r.takenAt,
            r.campsite,
            "",
            "",
            r.setup,
            r.carrier,
            r.rat,
            r.band,
            r.arfcn,
            r.cellId,
            r.rssiDbm,
            r.rsrpDbm,
            r.rsrqDb,
            r.sinrDb,
            r.downMbps,
            r.upMbps,
            r.idleMs,
            r.downLoadedMs,
            r.upLoadedMs,
            r.jitterMs,
            r.lossPct,
            r.server,
            r.outcome,
            r.trial,
            r.round,
            r.note
        };
        for (Column column : Column.values()) {
            String value = values[column.ordinal()];
            texts.put(column, value == null ? "" : value.strip());
        }
        return texts;
    }
}
