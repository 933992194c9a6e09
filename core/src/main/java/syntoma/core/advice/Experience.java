package syntoma.core.advice;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.hipparchus.distribution.continuous.NormalDistribution;

/** All that was measured, as far as it tells what to expect where. */
public final class Experience {
    /** Below about this level a device loses the cell: some 6 dB under where weak ends (docs/methods.md#6-readings). */
    private static final double SERVICE_DBM = -124;

    private static final double SERVICE_SD_DB = 4;

    /** One run in twenty-five fails where nothing speaks for more; so many runs it counts as. */
    private static final double USUAL_FAILURES = 0.04;

    private static final double FAILURES_WEIGH = 6;

    /** Runs of other setups at the place tell half as much of whether one comes about. */
    private static final double OTHERS_WEIGH = 0.5;

    private static final double USUAL_LOSS_PCT = 0.5;
    private static final double LOSS_WEIGHS = 4;

    /** The slope of a speed over the level is read over so many dB. */
    private static final double SLOPE_DB = 2;

    private static final NormalDistribution STANDARD = new NormalDistribution(0, 1);

    private final List<PastMeasurement> log;
    private final Map<String, OptionalDouble> promised = new HashMap<>();
    private final Layout layout;
    private final Map<Cell.Place, List<Tally>> places = new HashMap<>();
    private final Map<List<String>, List<PastMeasurement>> runs;
    private final Map<String, Failing> failing = new HashMap<>();
    private final MixedModel levels;
    private final MixedModel qualities;
    private final MixedModel down;
    private final MixedModel up;
    private final MixedModel loaded;
    private final Scatter scatter;

    /** How much figures scatter in a log; learned again when it has grown by a fifth, since that takes long and changes little. */
    public record Scatter(
            Spreads levels, Spreads qualities, Spreads down, Spreads up, Spreads loadedLatency, int cells) {
        private static final double GROWN = 1.2;

        private boolean isOf(int now) {
            return now <= cells * GROWN && now >= cells / GROWN;
        }
    }

    private Experience(List<PastMeasurement> log, List<Tally> all, List<Option> options, Optional<Scatter> before) {
        this.log = log;
        runs = log.stream()
                .filter(PastMeasurement::isRun)
                .collect(Collectors.groupingBy(p -> List.of(p.setup(), p.carrier())));
        layout = Layout.of(all, options);
        all.forEach(t ->
                places.computeIfAbsent(place(t.key), p -> new ArrayList<>()).add(t));
        all.forEach(t -> failing.merge(t.key.setup(), new Failing(t.tried, t.failed), Failing::and));
        options.forEach(o -> promised.put(o.setup(), o.promisedDb()));
        Optional<Scatter> known = before.filter(s -> s.isOf(all.size()));
        levels = fit(
                cells(all, t -> t.level, t -> layout.level(t.key.setup(), t.key.carrier())),
                layout.ofLevels(promised),
                Spreads.OF_LEVELS,
                known.map(Scatter::levels));
        Map<Cell.Place, Local> locals = new HashMap<>();
        Map<Tally, Radio> radios = new HashMap<>();
        all.forEach(t -> radios.put(t, level(t.key, local(t.key, locals).in(levels))));
        qualities = fit(
                cells(all, t -> t.quality, t -> row(t.key, radios.get(t).value, OptionalDouble.empty())),
                layout.ofQuality(),
                Spreads.OF_QUALITY,
                known.map(Scatter::qualities));
        locals.clear();
        Map<Tally, Layout.Row> rows = new HashMap<>();
        for (Tally t : all) {
            double level = radios.get(t).value;
            Radio quality = quality(t.key, level, local(t.key, locals).in(qualities));
            rows.put(t, row(t.key, level, OptionalDouble.of(quality.value)));
        }
        down = fit(cells(all, t -> t.down, rows::get), layout.ofDown(), Spreads.OF_SPEEDS, known.map(Scatter::down));
        up = fit(cells(all, t -> t.up, rows::get), layout.ofUp(), Spreads.OF_SPEEDS, known.map(Scatter::up));
        loaded = fit(
                cells(all, t -> t.loaded, rows::get),
                layout.ofLoaded(),
                Spreads.OF_LATENCIES,
                known.map(Scatter::loadedLatency));
        scatter = known.orElseGet(() -> new Scatter(
                levels.spreads(), qualities.spreads(), down.spreads(), up.spreads(), loaded.spreads(), all.size()));
    }

    /**
     * What a log tells.
     *
     * @param options all that there is to choose from
     * @param before how much figures scattered when that was learned last
     */
    public static Experience of(List<PastMeasurement> log, List<Option> options, Optional<Scatter> before) {
        Map<String, Double> caps = new HashMap<>();
        options.forEach(o -> o.capMbps().ifPresent(cap -> caps.put(o.carrier(), cap)));
        return new Experience(log, Tally.of(log, caps), options, before);
    }

    public Scatter scatter() {
        return scatter;
    }

    private static MixedModel fit(List<Cell> cells, MixedModel.Prior prior, Spreads usual, Optional<Spreads> known) {
        return MixedModel.fit(cells, prior, known.orElseGet(() -> MixedModel.learnSpreads(cells, prior, usual)));
    }

    private List<Cell> cells(List<Tally> all, Function<Tally, Tally.Sum> figure, Function<Tally, Layout.Row> row) {
        return all.stream()
                .filter(t -> figure.apply(t).count() > 0)
                .map(t -> cell(t, figure.apply(t), row.apply(t)))
                .toList();
    }

    private Local local(Tally.Key key, Map<Cell.Place, Local> locals) {
        return locals.computeIfAbsent(place(key), Local::new);
    }

    private Layout.Row row(Tally.Key key, double dbm, OptionalDouble sinrDb) {
        return layout.speed(key.setup(), key.carrier(), key.part(), dbm, sinrDb);
    }

    private Cell cell(Tally tally, Tally.Sum sum, Layout.Row row) {
        return cell(tally.key, sum.mean().orElseThrow(), sum.count(), row, tally.order);
    }

    private Cell cell(Tally.Key key, double mean, double runs, Layout.Row row, long order) {
        return new Cell(
                place(key),
                key.stay(),
                layout.setup(key.setup()),
                key.part(),
                mean,
                runs,
                row.columns(),
                row.values(),
                order);
    }

    private Cell.Place place(Tally.Key key) {
        return new Cell.Place(key.campsite(), layout.carrier(key.carrier()));
    }

    /** A level in dBm or an SINR in dB, and the variance of what is not known of it. */
    private record Radio(double value, double variance) {}

    /** What the setup hears there: read at this stay, or expected. */
    private Radio level(Tally.Key key, MixedModel.PlaceEffects local) {
        return read(key, t -> t.level, levels).orElseGet(() -> {
            MixedModel.Prediction expected =
                    local.predict(cell(key, 0, 1, layout.level(key.setup(), key.carrier()), 0));
            return new Radio(expected.mean(), expected.variance());
        });
    }

    /** How clean it is there: read at this stay, or expected at the level. */
    private Radio quality(Tally.Key key, double dbm, MixedModel.PlaceEffects local) {
        return read(key, t -> t.quality, qualities).orElseGet(() -> {
            MixedModel.Prediction expected = local.predict(cell(key, 0, 1, row(key, dbm, OptionalDouble.empty()), 0));
            return new Radio(expected.mean(), expected.variance());
        });
    }

    private Optional<Radio> read(Tally.Key key, Function<Tally, Tally.Sum> figure, MixedModel model) {
        double runs = 0;
        double sum = 0;
        for (Tally t : tallies(key)) {
            Tally.Sum own = figure.apply(t);
            if (own.count() > 0 && t.key.stay() == key.stay() && t.key.setup().equals(key.setup())) {
                runs += own.count();
                sum += own.count() * own.mean().orElseThrow();
            }
        }
        return runs == 0
                ? Optional.empty()
                : Optional.of(new Radio(sum / runs, model.spreads().visit() / 2));
    }

    private List<Tally> tallies(Tally.Key key) {
        return places.getOrDefault(place(key), List.of());
    }

    /** What to expect of options at one place and time. */
    public List<Outlook> outlooks(List<Option> options, StayContext here) {
        Map<Cell.Place, Local> locals = new HashMap<>();
        Silence silence = silence(here);
        return options.stream()
                .map(option -> {
                    Tally.Key key = key(option, here);
                    return local(key, locals).outlook(option, key, silence);
                })
                .toList();
    }

    /** The carriers that nothing was heard of at a stay. */
    public Silence silence(StayContext here) {
        return Silence.of(log, here, promised);
    }

    /** How many runs of an option there were anywhere. */
    public int runs(Option option) {
        return own(option).size();
    }

    /**
     * How many runs of an option there were at the campsite, and how many of them met what is asked.
     *
     * @param hours in the hours of the need where those are others than now; empty text otherwise
     */
    public record Met(int runs, int metRuns, String hours) {}

    /** How an option did at the campsite so far, in the hours in which it is needed. */
    public Met record(Option option, StayContext here, NeededHours hours) {
        List<PastMeasurement> there = inHours(own(option), hours).stream()
                .filter(p ->
                        p.campsite() == here.campsite() && hours.requirement().isToldBy(p))
                .toList();
        return new Met(
                there.size(),
                (int) there.stream().filter(hours.requirement()::isMetBy).count(),
                hours.isNow() ? "" : hours.part().words());
    }

    /** Needs of now are told by runs of any hour, those of other hours by runs of these. */
    private static List<PastMeasurement> inHours(List<PastMeasurement> runs, NeededHours hours) {
        return hours.isNow()
                ? runs
                : runs.stream().filter(p -> p.part() == hours.part()).toList();
    }

    private List<PastMeasurement> own(Option option) {
        return runs.getOrDefault(List.of(option.setup(), option.carrier()), List.of());
    }

    /** Why an option may be expected to bring what its outlook says in the hours in which it is needed. */
    public Reason reason(Option option, Outlook outlook, StayContext here, NeededHours hours) {
        Outlook.RunRequirement asked = hours.requirement();
        List<PastMeasurement> then = inHours(own(option), hours);
        List<PastMeasurement> beside = inHours(log, hours).stream()
                .filter(p -> p.isRun()
                        && asked.isToldBy(p)
                        && p.stay() == here.stay()
                        && p.carrier().equals(option.carrier())
                        && !p.setup().equals(option.setup()))
                .toList();
        boolean isRead = log.stream()
                .anyMatch(p -> p.stay() == here.stay()
                        && p.carrier().equals(option.carrier())
                        && p.rsrpDbm().isPresent()
                        && !p.hasNoService());
        Reason.Level level = new Reason.Level(outlook.levelDbm(), isRead);
        Reason reason = Reason.of(option, here, then.isEmpty() ? own(option) : then, level, asked);
        boolean ofHours = !hours.isNow() && !then.isEmpty() && !Double.isNaN(reason.metShare());
        return Reason.WeighedReason.of(
                ofHours ? new Reason.AtHours(reason, hours.part().words()) : reason,
                outlook.chance(asked),
                beside,
                asked);
    }

    private Tally.Key key(Option option, StayContext here) {
        if (!layout.knows(option)) {
            throw new IllegalArgumentException(
                    option.setup() + " on " + option.carrier() + " was not among the options");
        }
        return new Tally.Key(option.setup(), option.carrier(), here.campsite(), here.stay(), here.part());
    }

    /** One campsite on one carrier; what is known of it is put together when it is asked for. */
    private final class Local {
        private final Cell.Place place;
        private final Map<MixedModel, MixedModel.PlaceEffects> known = new HashMap<>();

        private Local(Cell.Place place) {
            this.place = place;
        }

        private MixedModel.PlaceEffects in(MixedModel model) {
            return known.computeIfAbsent(model, m -> m.at(place));
        }

        private Outlook outlook(Option option, Tally.Key key, Silence silence) {
            OptionalDouble bound = silence.levelDbm(option.carrier(), option.promisedDb());
            Radio expected = level(key, in(levels));
            Radio level = bound.isPresent() && bound.getAsDouble() < expected.value
                    ? new Radio(bound.getAsDouble(), Silence.BELOW_DB * Silence.BELOW_DB)
                    : expected;
            Radio quality = quality(key, level.value, in(qualities));
            double cap = option.capMbps().orElse(Double.POSITIVE_INFINITY);
            return new Outlook(
                    level.value,
                    works(key, level, silence.isSilent(option.carrier())),
                    rate(down, key, level, quality, cap),
                    rate(up, key, level, quality, cap),
                    rate(loaded, key, level, quality, Double.POSITIVE_INFINITY),
                    lossPct(key));
        }

        private Outlook.Rate rate(MixedModel model, Tally.Key key, Radio level, Radio quality, double cap) {
            Layout.Row row = row(key, level.value, OptionalDouble.of(quality.value));
            MixedModel.Prediction expected = in(model).predict(cell(key, 0, 1, row, 0));
            double ofLevel = slope(model, dbm -> row(key, dbm, OptionalDouble.of(quality.value)), level.value);
            double ofQuality = slope(model, db -> row(key, level.value, OptionalDouble.of(db)), quality.value);
            return new Outlook.Rate(
                    expected.mean(),
                    expected.variance() + ofLevel * ofLevel * level.variance + ofQuality * ofQuality * quality.variance,
                    model.spreads().run(),
                    cap);
        }
    }

    /** By how much a figure changes on its scale with 1 dB. */
    private static double slope(MixedModel model, DoubleFunction<Layout.Row> row, double at) {
        Layout.Row lower = row.apply(at - SLOPE_DB);
        Layout.Row higher = row.apply(at + SLOPE_DB);
        return (model.fixedPart(higher.columns(), higher.values()) - model.fixedPart(lower.columns(), lower.values()))
                / (2 * SLOPE_DB);
    }

    /** The chance that a run comes about: by how many did there and anywhere, and whether there is enough to hear. */
    private double works(Tally.Key key, Radio heard, boolean silent) {
        Failing anywhere = failing.getOrDefault(key.setup(), Failing.NONE);
        double tried = FAILURES_WEIGH;
        double failed = FAILURES_WEIGH * anywhere.share(USUAL_FAILURES, FAILURES_WEIGH);
        boolean worked = false;
        for (Tally t : tallies(key)) {
            if (!Option.isPhone(t.key.setup())) {
                boolean own = t.key.setup().equals(key.setup());
                tried += t.tried * (own ? 1 : OTHERS_WEIGH);
                failed += t.failed * (own ? 1 : OTHERS_WEIGH);
                worked |= own && t.tried > t.failed;
            }
        }
        // what worked at an earlier stay does not outweigh that nothing is heard now
        double enough = worked && !silent
                ? 1
                : STANDARD.cumulativeProbability(
                        (heard.value - SERVICE_DBM) / Math.sqrt(heard.variance + SERVICE_SD_DB * SERVICE_SD_DB));
        return enough * (1 - failed / tried);
    }

    /** How many runs were tried, and how many of them failed. */
    private record Failing(double attempts, double failures) {
        private static final Failing NONE = new Failing(0, 0);

        private Failing and(Failing other) {
            return new Failing(attempts + other.attempts, failures + other.failures);
        }

        private double share(double usual, double weighs) {
            return (failures + usual * weighs) / (attempts + weighs);
        }
    }

    private double lossPct(Tally.Key key) {
        double weight = LOSS_WEIGHS;
        double sum = LOSS_WEIGHS * USUAL_LOSS_PCT;
        for (Tally t : tallies(key)) {
            if (t.loss.count() > 0) {
                weight += t.loss.count();
                sum += t.loss.count() * t.loss.mean().orElseThrow();
            }
        }
        return sum / weight;
    }
}
