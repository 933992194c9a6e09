package syntoma.app.instrument;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.Cards;
import syntoma.app.measurement.Traffic;
import syntoma.app.need.Carriers;
import syntoma.app.platform.Optionals;
import syntoma.core.ledger.Period;
import syntoma.core.ledger.Usage;
import syntoma.core.need.Transfer;
import syntoma.core.unit.Values;

/** What is used of carriers' plans. */
@Service
@Transactional(readOnly = true)
public class PlanUse {
    private static final double BYTES_PER_GB = 1e9;
    private static final double SECONDS_PER_DAY = 86_400;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private final EntityManager entities;
    private final Cards cards;
    private final CarrierCounters counters;
    private final Carriers carriers;
    private final Traffic traffic;
    private final LiveUses live;
    private final Clock clock;

    PlanUse(
            EntityManager entities,
            Cards cards,
            CarrierCounters counters,
            Carriers carriers,
            Traffic traffic,
            LiveUses live,
            Clock clock) {
        this.entities = entities;
        this.cards = cards;
        this.counters = counters;
        this.carriers = carriers;
        this.traffic = traffic;
        this.live = live;
        this.clock = clock;
    }

    /**
     * What is used of a carrier's plan.
     *
     * @param since when the month of the plan began
     * @param usedGb since then: what was measured and, where the carrier’s own counter was read, everything else at its rate
     * @param leftGb of the allowance; null where no sheet says what a month allows
     * @param allowanceGb of a month, of all cards of the carrier that are owned; null where no sheet says
     * @param counterAt when the carrier’s own counter was read last in this month; null where it was not: then more may be used
     * @param isAbout whether that reading is of an earlier day, since when everything else goes on at its rate
     * @param sentence the same in words, with what is not counted
     */
    public record PlanUseView(
            String carrier,
            OffsetDateTime since,
            double usedGb,
            @Nullable Double leftGb,
            @Nullable Double allowanceGb,
            @Nullable OffsetDateTime counterAt,
            boolean isAbout,
            String sentence) {}

    /** Of a carrier, by its name. */
    public PlanUseView of(String carrier) {
        Optional<Cards.Card> card = Optional.ofNullable(cards.byCarrier().get(carrier));
        OffsetDateTime now = OffsetDateTime.now(clock);
        Period month =
                Period.of(now.toLocalDate(), card.map(Cards.Card::resetDay).orElse(1));
        OffsetDateTime since = month.first().atStartOfDay().atOffset(now.getOffset());
        Optional<CarrierCounters.Counter> counter = counters.last(carrier, since);
        Usage usage = of(carrier, month, counter).usage();
        OptionalDouble allowance = card.map(Cards.Card::allowanceGb).orElse(OptionalDouble.empty());
        String taken = Values.round(usage.usedGb(), usage.usedGb() < 10 ? 2 : 0);
        String from = DAY.format(since);
        String who = counter.isPresent() ? "Used" : "Runs have taken";
        String sentence = allowance.isEmpty()
                ? who + " " + taken + " GB on " + carrier + " since " + from
                        + "; no SIM in Gear states what its plan allows."
                : who + " " + taken + " of the " + Values.format(allowance.getAsDouble()) + " GB on " + carrier
                        + " since " + from
                        + (counter.isPresent()
                                ? ", by the carrier’s counter and what was measured after it."
                                : "; what else went over it is not counted.");
        return new PlanUseView(
                carrier,
                since,
                usage.usedGb(),
                allowance.isPresent() ? usage.leftGb(allowance.getAsDouble()) : null,
                Optionals.boxed(allowance),
                counter.map(CarrierCounters.Counter::readAt).orElse(null),
                counter.filter(c -> c.readAt().toLocalDate().isBefore(now.toLocalDate()))
                        .isPresent(),
                sentence);
    }

    /**
     * What was used of a plan in a month.
     *
     * @param runs of the carrier in the log, made here or elsewhere
     */
    public record MonthlyUse(Usage usage, long runs) {}

    /**
     * What was used of a carrier's plan in a month of it, or until now.
     *
     * @param counter the last reading of the carrier’s own counter in that month
     */
    public MonthlyUse of(String carrier, Period month, Optional<CarrierCounters.Counter> counter) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        OffsetDateTime from = month.first().atStartOfDay().atOffset(now.getOffset());
        OffsetDateTime end = month.next().atStartOfDay().atOffset(now.getOffset());
        OffsetDateTime until = end.isAfter(now) ? now : end;
        MeasuredUse whole = measuredUse(carrier, from, end);
        Usage usage = new Usage(
                whole.runsGb(),
                whole.loggedGb(),
                whole.liveGb(),
                counter.map(c -> new Usage.Counter(
                        c.usedGb(), measuredUse(carrier, from, c.readAt()).gb(), days(from, c.readAt()))),
                days(from, until),
                month.days());
        return new MonthlyUse(usage, whole.runs());
    }

    private static double days(OffsetDateTime from, OffsetDateTime until) {
        return Duration.between(from, until).toSeconds() / SECONDS_PER_DAY;
    }

    /**
     * What measuring took: runs that were made here, those that were logged from elsewhere, live readings; and how many runs the log
     * has.
     */
    private record MeasuredUse(double runsGb, double loggedGb, double liveGb, long runs) {
        double gb() {
            return runsGb + loggedGb + liveGb;
        }
    }

    private MeasuredUse measuredUse(String carrier, OffsetDateTime from, OffsetDateTime before) {
        RunUse runs = useByRuns(carrier, from, before);
        Traffic.Sums logged = carriers.find(carrier)
                .map(network -> traffic.of(network, from, before, 0))
                .orElse(new Traffic.Sums(0, 0, 0));
        // runs that were made here are in the log too
        return new MeasuredUse(
                runs.gb(),
                Transfer.gb(Math.max(0, logged.mbps() - runs.loggedMbps()), Usage.RUN_S),
                live.bytes(carrier, from, before) / BYTES_PER_GB,
                logged.runs());
    }

    /**
     * What runs took between two moments.
     *
     * @param gb of all of them
     * @param loggedMbps the rates of those that are in the log, down and up together
     */
    private record RunUse(double gb, double loggedMbps) {}

    /** What runs of a carrier took from a moment on until before another. */
    private RunUse useByRuns(String carrier, OffsetDateTime from, OffsetDateTime before) {
        return entities.createQuery(
                        "select sum(r.bytesUsed), sum(case when r.measurementId is null then 0.0 else coalesce(r.downMbps, 0.0)"
                                + " + coalesce(r.upMbps, 0.0) end) from SpeedRun r where r.carrier = :carrier and"
                                + " r.startedAt >= :from and r.startedAt < :before",
                        Object[].class)
                .setParameter("carrier", carrier)
                .setParameter("from", from)
                .setParameter("before", before)
                .getResultStream()
                .map(row -> new RunUse(
                        row[0] == null ? 0 : ((Number) row[0]).doubleValue() / BYTES_PER_GB,
                        row[1] == null ? 0 : ((Number) row[1]).doubleValue()))
                .findFirst()
                .orElseThrow();
    }
}
