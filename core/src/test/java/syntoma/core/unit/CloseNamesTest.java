package syntoma.core.unit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which names are probably the same. */
class CloseNamesTest {
    @ParameterizedTest
    @CsvSource({
        "Pinebend, Pine Bend",
        "bluecell, Bluecell",
        "PINE-BEND, Pine Bend",
        "Harbour Crain, Harbour Crane",
        "Tarnwav, Tarnwave",
        "Mâst panel, Mast panel",
        "Sawmill Yrad, Sawmill Yard"
    })
    void typing_errors_are_close(String typed, String known) {
        assertEquals(Optional.of(known), CloseNames.among(List.of("Amber Spit", known), typed));
    }

    @ParameterizedTest
    @CsvSource({
        "Pitch 4, Pitch 5",
        "Ferry Slip 10, Ferry Slip 1",
        "Roof dome A, Roof dome B",
        "Camp, Damp",
        "Birch Hollow, Bog Boardwalk",
        "Pine Bend, Pine Bend"
    })
    void what_is_told_apart_on_purpose_is_not(String typed, String known) {
        assertEquals(Optional.empty(), CloseNames.among(List.of(known), typed));
    }

    @Test
    void the_closest_is_given() {
        assertEquals(Optional.of("Quarry Lake"), CloseNames.among(List.of("Quarry Lane", "Quarry Lake"), "Quary Lake"));
    }
}
