package syntoma.core.place;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Coordinates in the notations that people paste. */
class CoordinatesTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "59.3293, 18.0686",
                "59.3293 18.0686",
                "59.3293,18.0686",
                "59,3293 18,0686",
                "59,3293; 18,0686",
                "59,3293, 18,0686",
                "(59.3293, 18.0686)",
                "N59.3293 E18.0686",
                "59.3293N 18.0686E",
                "59.3293° N, 18.0686° E",
                "E 18.0686, N 59.3293",
                "18.0686 O 59.3293 N",
                "lat 59.3293 lon 18.0686",
                "Latitude: 59.3293 Longitude: 18.0686",
                "lat=59.3293&lon=18.0686",
                "59° 19.758' N 18° 4.116' E",
                "N 59 19.758 E 18 04.116",
                "N59°19.758′ E018°04.116′",
                "59°19'45.48\"N 18°04'06.96\"E",
                "59° 19′ 45.48″ N, 18° 4′ 6.96″ E",
                "59 19 45.48 N 18 4 6.96 E",
                "59d19m45.48s N 18d4m6.96s E",
                "geo:59.3293,18.0686;u=35",
                "https://map.example/@59.3293,18.0686,15z",
                "https://map.example/?q=59.3293%2C18.0686",
                "https://map.example/?mlat=59.3293&mlon=18.0686#map=12",
                "https://map.example/#map=15/59.3293/18.0686",
                "{\"lat\": 59.3293, \"lon\": 18.0686}",
                "{\"latitude\":\"59.3293\",\"longitude\":\"18.0686\"}",
                "{\"type\":\"Point\",\"coordinates\":[18.0686,59.3293]}"
            })
    void one_place_in_many_notations(String text) {
        Coordinates read = Coordinates.read(text);
        assertEquals(59.3293, read.lat(), 1e-6, text);
        assertEquals(18.0686, read.lon(), 1e-6, text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"-33.9, -70.5", "33.9 S 70.5 W", "S 33° 54' W 70° 30'", "−33.9 −70.5", "33,9S; 70,5W"})
    void south_and_west_are_below_nought(String text) {
        Coordinates read = Coordinates.read(text);
        assertEquals(-33.9, read.lat(), 1e-9, text);
        assertEquals(-70.5, read.lon(), 1e-9, text);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "by the lake",
                "59.3",
                "59.3, 18.0, 12.5, 4",
                "34V 341234 6581234",
                "N 59 N 60",
                "meet at 10:30, gate 4"
            })
    void what_is_none_is_refused_with_what_is_allowed(String text) {
        IllegalArgumentException refused =
                assertThrows(IllegalArgumentException.class, () -> Coordinates.read(text), text);
        assertTrue(refused.getMessage().startsWith("coordinates are"), refused.getMessage());
    }

    @Test
    void what_lies_off_the_globe_is_named() {
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Coordinates.read("97.3, 18"))
                .getMessage()
                .startsWith("latitude is 97.3"));
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Coordinates.read("59.3, 218"))
                .getMessage()
                .startsWith("longitude is 218"));
        assertTrue(assertThrows(IllegalArgumentException.class, () -> Coordinates.read("59° 75' N 18° 4' E"))
                .getMessage()
                .startsWith("minutes"));
    }

    @Test
    void distances_are_along_the_ground_and_texts_are_short() {
        // one degree of a meridian at the equator is 110.574 km on WGS-84
        assertEquals(110.574, new Coordinates(0, 18).km(new Coordinates(1, 18)), 0.001);
        assertEquals("59.3293", Coordinates.text(59.32930000001));
    }

    @Test
    void nothing_that_is_pasted_can_hang_it() {
        for (String unit : new String[] {"1 ", "1.", "N", "°", "1°1'", "lat=", "geo:", ",", "-1,"}) {
            Assertions.assertTimeoutPreemptively(Duration.ofSeconds(2), () -> {
                try {
                    Coordinates.read(unit.repeat(200_000 / unit.length()));
                } catch (IllegalArgumentException refused) {
                    // as it should be
                }
            });
        }
    }
}
