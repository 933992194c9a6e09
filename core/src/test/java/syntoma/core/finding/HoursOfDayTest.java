package syntoma.core.finding;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Figure;

class HoursOfDayTest {
    private static final Criterion UP = Criterion.of(Figure.UP_MBPS);

    /** Eight stays, each at 9, 13 and 20 o’clock; minutes are counted from a midnight. */
    private static ListedTrip trip(double evening) {
        Random random = new Random(4);
        ListedTrip trip = new ListedTrip();
        for (int stay = 0; stay < 8; stay++) {
            double place = Math.exp(random.nextGaussian());
            int midnight = stay * 4 * 24 * 60;
            for (int hour : new int[] {9, 10, 13, 20}) {
                double value = 8 * place * (hour == 20 ? evening : 1) * Math.exp(0.1 * random.nextGaussian());
                trip.run(midnight + hour * 60, stay, stay % 2 == 0 ? "A" : "B", value);
            }
        }
        return trip;
    }

    private static String slowest(ListedTrip trip) {
        return HoursOfDay.slowest(trip, UP, i -> (int) (trip.atNanos(i) / 60_000_000_000L % (24 * 60) / 60));
    }

    /** The evening brings half: though fast and slow places differ by far more, the hour is found. */
    @Test
    void the_slow_hours_are_found_over_unlike_places() {
        String said = slowest(trip(0.5));
        assertTrue(said.startsWith("From 18 to 21 it is slowest: upload is about ×0.5"), said);
        assertTrue(said.endsWith("8 stays) compared with 9 to 12 at the same stays."), said);
    }

    @Test
    void where_all_hours_are_alike_none_is_named() {
        assertEquals("No hour stands out: where enough was measured, it is much the same all day.", slowest(trip(1)));
    }

    @Test
    void one_hour_alone_tells_nothing() {
        ListedTrip trip = new ListedTrip();
        for (int stay = 0; stay < 5; stay++) {
            trip.run(stay * 24 * 60 + 600, stay, "A", 5);
        }
        assertEquals("Too few measurements at different hours of the same stay to tell.", slowest(trip));
    }

    /** 3 of 3 is less sure than 28 of 30, and is too few anyway; 1 of 12 is surely worse than 2 of 6. */
    @Test
    void the_best_place_is_the_one_of_which_most_is_sure() {
        List<NeedByPlace> places = List.of(
                new NeedByPlace("Saltmarsh Jetty", 3, 3),
                new NeedByPlace("Lighthouse Meadow", 30, 28),
                new NeedByPlace("Birch Hollow", 5, 5),
                new NeedByPlace("Bog Boardwalk", 12, 1),
                new NeedByPlace("Quarry Lake", 6, 2));
        assertEquals(
                "Best for Video calls was Lighthouse Meadow (28 of 30 runs), worst was Bog Boardwalk (1 of 12 runs),"
                        + " whatever was used.",
                NeedByPlace.best(places, "Video calls"));
        assertEquals(
                "Fewer than two campsites have five runs each; more are needed to compare places.",
                NeedByPlace.best(places.subList(0, 2), "Video calls"));
    }
}
