package syntoma.core.ledger;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LedgerTest {
    @ParameterizedTest
    @CsvSource({
        "2026-09-05, 1, 2026-09-01, 2026-10-01",
        "2026-09-05, 20, 2026-08-20, 2026-09-20",
        "2026-09-20, 20, 2026-09-20, 2026-10-20",
        "2026-02-10, 31, 2026-01-31, 2026-02-28",
        "2026-02-28, 31, 2026-02-28, 2026-03-31",
        "2028-02-29, 30, 2028-02-29, 2028-03-30",
        "2026-01-02, 5, 2025-12-05, 2026-01-05"
    })
    void aMonthOfAPlanRunsFromResetToReset(LocalDate day, int reset, LocalDate first, LocalDate next) {
        assertEquals(new Period(first, next), Period.of(day, reset));
        assertEquals(first, Period.of(day, reset).before(reset).next());
    }

    @Test
    void aResetDayThatNoMonthHasIsRefused() {
        LocalDate day = LocalDate.of(2026, 9, 5);
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Period.of(day, 32))
                .getMessage()
                .contains("reset day is 32"));
    }

    @Test
    void theDifferenceToTheCounterIsEverythingElse() {
        // read now, after 20 of 30 days: 40 GB by the counter, 6 of them measured: 34 else, 60 at this rate
        Usage usage = new Usage(5, 1, 0, Optional.of(new Usage.Counter(40, 6, 20)), 20, 30);
        assertEquals(34, usage.elseGb().getAsDouble(), 1e-12);
        assertEquals(60, usage.forecastGb().getAsDouble(), 1e-12);
        assertEquals(25, usage.emptyAfterDays(50).getAsDouble(), 1e-12);
        assertTrue(usage.emptyAfterDays(60).isEmpty());
        assertEquals(10, usage.leftGb(50), 1e-12);
    }

    @Test
    void liveReadingsAreMeasuredAndNotEverythingElse() {
        // half a GB of live readings beside 5 of runs and 1 logged; the counter says 40, all 6.5 measured by then
        Usage usage = new Usage(5, 1, 0.5, Optional.of(new Usage.Counter(40, 6.5, 20)), 20, 30);
        assertEquals(6.5, usage.measuringGb(), 1e-12);
        assertEquals(33.5, usage.elseGb().getAsDouble(), 1e-12);
        assertEquals(40, usage.usedGb(), 1e-12);
    }

    @Test
    void afterAReadingTheRestGoesOnAsItWentAndWhatIsMeasuredIsAdded() {
        // day 10: 22 GB, 2 of them measured, so 2 GB else a day; day 15: 3 more were measured
        Usage usage = new Usage(5, 0, 0, Optional.of(new Usage.Counter(22, 2, 10)), 15, 30);
        assertEquals(30, usage.elseGb().getAsDouble(), 1e-12);
        assertEquals(35, usage.usedGb(), 1e-12);
        assertEquals(70, usage.forecastGb().getAsDouble(), 1e-12);
    }

    @Test
    void aReadingOfTheFirstDayIsNoRate() {
        Usage usage = new Usage(0, 0, 0, Optional.of(new Usage.Counter(3, 0, 0.1)), 10, 30);
        assertEquals(3, usage.usedGb(), 1e-12);
    }

    @Test
    void withoutAReadingNothingIsSaidOfTheRest() {
        Usage usage = new Usage(5, 1, 0, Optional.empty(), 12, 30);
        assertTrue(usage.elseGb().isEmpty());
        assertEquals(15, usage.forecastGb().getAsDouble(), 1e-12);
    }

    @Test
    void aCounterThatLagsNeverMakesLessOfWhatWasMeasured() {
        Usage usage = new Usage(5, 1, 0, Optional.of(new Usage.Counter(4, 6, 12)), 12, 30);
        assertEquals(6, usage.usedGb(), 1e-12);
        assertEquals(0, usage.elseGb().getAsDouble(), 1e-12);
        assertEquals(0, usage.leftGb(5), 1e-12);
    }

    @Test
    void theFirstDayForecastsNothing() {
        assertTrue(new Usage(5, 0, 0, Optional.empty(), 0.4, 30).forecastGb().isEmpty());
    }

    @Test
    void theCheapestPlanForWhatWasUsedComesFirst() {
        Offer large = offer("large", 500, OptionalDouble.empty(), 25);
        Offer small = offer("small", 60, OptionalDouble.empty(), 9);
        Offer slow = offer("slow", 200, OptionalDouble.of(2), 5);
        List<Offer.Fit> fits = Offer.cheapestFirst(List.of(large, small, slow), 110, OptionalDouble.of(3));
        assertEquals(
                List.of("small", "large"),
                fits.stream().map(f -> f.offer().card()).toList());
        assertEquals(2, fits.get(0).cards());
        assertEquals(18, fits.get(0).price(), 1e-12);
        assertEquals(0.05, large.pricePerGb().getAsDouble(), 1e-12);
    }

    private static Offer offer(String card, double gb, OptionalDouble cap, double price) {
        return new Offer(card, "Tarnwave", OptionalDouble.of(gb), cap, OptionalDouble.of(price));
    }
}
