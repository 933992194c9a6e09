package syntoma.app.ledger;

import static syntoma.app.platform.Optionals.boxed;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.Cards;
import syntoma.app.instrument.CarrierCounters;
import syntoma.app.instrument.LiveCount;
import syntoma.app.instrument.PlanUse;
import syntoma.app.measurement.Traffic;
import syntoma.app.need.Carriers;
import syntoma.app.need.Needs;
import syntoma.core.ledger.Offer;
import syntoma.core.ledger.Period;
import syntoma.core.ledger.Usage;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** Keeps the books of the cards. */
@Service
@Transactional(readOnly = true)
class LedgerService {
    private static final int EARLIER = 6;
    private static final double BYTES_PER_MB = 1e6;
    private static final double MB_PER_GB = 1000;
    private static final PlanUse.MonthlyUse NOT_USED =
            new PlanUse.MonthlyUse(new Usage(0, 0, 0, Optional.empty(), 0, 30), 0);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private final Cards cards;
    private final Carriers carriers;
    private final Counters counters;
    private final PlanUse plans;
    private final Traffic traffic;
    private final LiveCount count;
    private final Needs needs;
    private final Clock clock;

    LedgerService(
            Cards cards,
            Carriers carriers,
            Counters counters,
            PlanUse plans,
            Traffic traffic,
            LiveCount count,
            Needs needs,
            Clock clock) {
        this.cards = cards;
        this.carriers = carriers;
        this.counters = counters;
        this.plans = plans;
        this.traffic = traffic;
        this.count = count;
        this.needs = needs;
        this.clock = clock;
    }

    LedgerView view() {
        OffsetDateTime now = OffsetDateTime.now(clock);
        List<Cards.Plan> all = cards.plans();
        List<LedgerView.CardView> views = all.stream()
                .map(plan -> card(plan, all, now))
                .sorted(Comparator.comparing((LedgerView.CardView c) -> !c.owned())
                        .thenComparing(c -> -c.month().usedGb())
                        .thenComparing(LedgerView.CardView::name))
                .toList();
        return new LedgerView(now.toLocalDate(), says(views), live(views), views);
    }

    /** What live readings took: of a plan only where the router is not on the vehicle’s own network. */
    private String live(List<LedgerView.CardView> views) {
        String outside = views.stream()
                .filter(c -> c.month().liveGb() > 0)
                .map(c -> megabytes(c.month().liveGb() * MB_PER_GB) + " of " + c.name())
                .collect(Collectors.joining(", "));
        if (!outside.isEmpty()) {
            return "The router is asked outside the vehicle’s own network: live readings took " + outside
                    + " this month, and are counted.";
        }
        return count.withinBytes() == 0
                ? "Live readings use the vehicle’s own network: they use no plan data."
                : "Live readings have moved " + megabytes(count.withinBytes() / BYTES_PER_MB)
                        + " since the start, within the vehicle’s own network: no plan data.";
    }

    private static String megabytes(double amount) {
        return amount < 0.1 ? "less than 0.1 MB" : Values.round(amount, amount < 10 ? 1 : 0) + " MB";
    }

    /** The card that needs a look first: one that will not last, else the one that is used most. */
    private static String says(List<LedgerView.CardView> views) {
        List<LedgerView.CardView> owned =
                views.stream().filter(LedgerView.CardView::owned).toList();
        if (owned.isEmpty()) {
            return "Enter a SIM card under Gear, with its carrier, data allowance, reset day and price.";
        }
        return owned.stream()
                .filter(c -> c.month().emptyOn() != null)
                .findFirst()
                .orElse(owned.get(0))
                .says();
    }

    private LedgerView.CardView card(Cards.Plan plan, List<Cards.Plan> all, OffsetDateTime now) {
        Period period = Period.of(now.toLocalDate(), plan.resetDay());
        LedgerView.MonthView month = month(plan, period, now);
        boolean shared = plan.owned()
                && all.stream()
                        .anyMatch(other -> other.owned()
                                && other.gear() != plan.gear()
                                && other.sim().carrier().equals(plan.sim().carrier()));
        List<LedgerView.MonthView> earlier = new ArrayList<>();
        Period before = period.before(plan.resetDay());
        for (int i = 0; i < EARLIER && plan.owned(); i++) {
            LedgerView.MonthView one = month(plan, before, now);
            if (one.usedGb() > 0) {
                earlier.add(one);
            }
            before = before.before(plan.resetDay());
        }
        double used = month.forecastGb() == null ? month.usedGb() : month.forecastGb();
        return new LedgerView.CardView(
                plan.gear(),
                plan.name(),
                plan.sim().carrier(),
                plan.owned(),
                shared,
                boxed(plan.sim().allowanceGb()),
                boxed(plan.sim().capMbps()),
                boxed(plan.pricePerMonth()),
                plan.terms(),
                plan.resetDay(),
                month,
                sentence(plan, month, now),
                capped(plan, period, now),
                plan.owned() ? offers(plan, all, used) : List.of(),
                earlier);
    }

    private LedgerView.MonthView month(Cards.Plan plan, Period period, OffsetDateTime now) {
        ZoneOffset offset = now.getOffset();
        OffsetDateTime from = period.first().atStartOfDay().atOffset(offset);
        OffsetDateTime end = period.next().atStartOfDay().atOffset(offset);
        boolean over = !end.isAfter(now);
        String carrier = plan.sim().carrier();
        List<CounterReading> readings = counters.of(plan.gear(), from, end);
        Optional<CounterReading> last =
                readings.isEmpty() ? Optional.empty() : Optional.of(readings.get(readings.size() - 1));
        PlanUse.MonthlyUse used = plan.owned()
                ? plans.of(carrier, period, last.map(r -> new CarrierCounters.Counter(r.readAt, r.usedGb)))
                : NOT_USED;
        Usage usage = used.usage();
        OptionalDouble price = plan.pricePerMonth();
        OptionalDouble empty = plan.sim().allowanceGb().isPresent() && !over
                ? usage.emptyAfterDays(plan.sim().allowanceGb().getAsDouble())
                : OptionalDouble.empty();
        return new LedgerView.MonthView(
                period.first(),
                period.next(),
                period.days(),
                over ? 0 : period.daysLeft(now.toLocalDate()),
                usage.runsGb(),
                usage.loggedGb(),
                usage.liveGb(),
                used.runs(),
                last.map(r -> r.usedGb).orElse(null),
                last.map(r -> r.readAt).orElse(null),
                boxed(usage.elseGb()),
                usage.usedGb(),
                over ? null : boxed(usage.forecastGb()),
                empty.isPresent() ? period.first().plusDays((long) empty.getAsDouble()) : null,
                price.isPresent() && usage.usedGb() > 0 ? price.getAsDouble() / usage.usedGb() : null,
                price.isPresent() ? price.getAsDouble() / period.days() : null,
                readings.stream()
                        .map(r -> new LedgerView.CounterView(r.id, r.readAt, r.usedGb))
                        .toList());
    }

    private static String sentence(Cards.Plan plan, LedgerView.MonthView month, OffsetDateTime now) {
        String used = gb(month.usedGb());
        OptionalDouble allowance = plan.sim().allowanceGb();
        String of = allowance.isPresent()
                ? used + " of " + Values.format(allowance.getAsDouble()) + " GB used"
                : used + " GB used";
        String until = "it resets in " + Text.count((int) month.daysLeft(), "day") + ", on " + DAY.format(month.next());
        String known = month.counterAt() == null
                ? " (measuring alone)"
                : month.counterAt().toLocalDate().isBefore(now.toLocalDate())
                        ? " (the counter of " + DAY.format(month.counterAt()) + " and the runs since)"
                        : "";
        if (month.emptyOn() != null) {
            return plan.name() + ": " + of + known + "; at this rate it is used up on or about "
                    + DAY.format(month.emptyOn()) + ", and " + until + ".";
        }
        String forecast =
                month.forecastGb() == null ? "" : " (about " + gb(month.forecastGb()) + " GB by then at this rate)";
        return plan.name() + ": " + of + known + "; " + until + forecast + ".";
    }

    private static String gb(double amount) {
        return Values.round(amount, amount < 10 ? 1 : 0);
    }

    /** How many of the month's runs, or of the month before where it has none, ran into the cap. */
    @Nullable
    private String capped(Cards.Plan plan, Period period, OffsetDateTime now) {
        if (plan.sim().capMbps().isEmpty() || !plan.owned()) {
            return null;
        }
        double cap = plan.sim().capMbps().getAsDouble();
        LocalDate first = period.first().minusDays(3 * period.days());
        Optional<Long> network = carriers.find(plan.sim().carrier());
        Traffic.Sums runs = network.map(id -> traffic.of(
                        id,
                        first.atStartOfDay().atOffset(now.getOffset()),
                        period.next().atStartOfDay().atOffset(now.getOffset()),
                        cap))
                .orElse(new Traffic.Sums(0, 0, 0));
        return runs.runs() == 0
                ? "The plan is capped at " + Values.format(cap) + " Mb/s; no run was made on it since "
                        + DAY.format(first) + "."
                : "The plan is capped at " + Values.format(cap) + " Mb/s: " + runs.atCap() + " of "
                        + Text.count((int) runs.runs(), "run") + " since " + DAY.format(first)
                        + " reached it within 5 %, so no antenna makes these faster.";
    }

    private List<LedgerView.OfferView> offers(Cards.Plan plan, List<Cards.Plan> all, double used) {
        List<Offer> offers = all.stream()
                .map(p -> new Offer(
                        p.name(),
                        p.sim().carrier(),
                        p.sim().allowanceGb(),
                        p.sim().capMbps(),
                        p.pricePerMonth()))
                .toList();
        return Offer.cheapestFirst(offers, used, needs.requirement().downMbps()).stream()
                .map(f -> new LedgerView.OfferView(
                        f.offer().card(),
                        f.offer().carrier(),
                        f.cards(),
                        f.price(),
                        f.offer().card().equals(plan.name())))
                .toList();
    }
}
