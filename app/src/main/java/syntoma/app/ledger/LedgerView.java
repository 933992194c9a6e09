package syntoma.app.ledger;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;

/**
 * The cards with what was used of their plans.
 *
 * @param day of now, on the clock of where the vehicle stands
 * @param says the one thing to know
 * @param live what live readings take of the plans
 */
record LedgerView(LocalDate day, String says, String live, List<CardView> cards) {

    /**
     * A card.
     *
     * @param shared whether another owned card is of the same carrier, so that runs cannot be told apart
     * @param month of the plan that is going on
     * @param capSays what the cap did; null where there is none
     * @param offers what the month would come to on each plan, the cheapest first; none of owned ones without a price
     * @param earlier months, the latest first
     */
    record CardView(
            long gear,
            String name,
            String carrier,
            boolean owned,
            boolean shared,
            @Nullable Double allowanceGb,
            @Nullable Double capMbps,
            @Nullable Double pricePerMonth,
            String terms,
            int resetDay,
            MonthView month,
            String says,
            @Nullable String capSays,
            List<OfferView> offers,
            List<MonthView> earlier) {}

    /**
     * A month of a plan; amounts in GB, what is not known is null.
     *
     * @param next first day of the month after it
     * @param runsGb of runs made here, counted
     * @param loggedGb of runs logged from elsewhere, about
     * @param liveGb of live readings of a router outside the vehicle’s network
     * @param counterGb the carrier’s counter, as it was read last in the month
     * @param elseGb everything else: the counter less what was measured
     * @param usedGb as far as it is known
     * @param forecastGb of the whole month at this rate; null of months that are over
     * @param pricePerGb what a GB came to, of a month that is over
     * @param pricePerDay of the plan
     */
    record MonthView(
            LocalDate first,
            LocalDate next,
            long days,
            long daysLeft,
            double runsGb,
            double loggedGb,
            double liveGb,
            long loggedRuns,
            @Nullable Double counterGb,
            @Nullable OffsetDateTime counterAt,
            @Nullable Double elseGb,
            double usedGb,
            @Nullable Double forecastGb,
            @Nullable LocalDate emptyOn,
            @Nullable Double pricePerGb,
            @Nullable Double pricePerDay,
            List<CounterView> readings) {}

    /** A reading of the counter. */
    record CounterView(long id, OffsetDateTime readAt, double usedGb) {}

    /** What a month's use comes to on a plan. */
    record OfferView(String card, String carrier, int cards, double price, boolean own) {}
}
