package syntoma.core.reply;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Grade;

class RecentTest {
    private static Recent.Heard heard(double ageS, double rsrp, boolean nr) {
        Node.Value level = new Node.Value(Double.toString(rsrp));
        Mapping mapping =
                new Mapping(nr ? Map.of("primary.rsrpDbm", "/a", "nr.rsrpDbm", "/a") : Map.of("primary.rsrpDbm", "/a"));
        return new Recent.Heard(ageS, mapping.read(new Node.Group(Map.of("a", level))));
    }

    @Test
    void a_strip_has_the_last_value_and_the_spread_of_the_last_minutes() {
        Recent recent = new Recent(List.of(heard(200, -90, false), heard(100, -101, false), heard(1, -96, false)));
        Recent.Strip strip = recent.cells().get(0).strips().get(0);
        assertEquals(-96, strip.value());
        assertEquals(Grade.THIN, strip.grade());
        assertEquals(List.of(-101.0, -96.0, -90.0), List.of(strip.low(), strip.median(), strip.high()));
        assertEquals(OptionalDouble.empty(), recent.nrShare());
    }

    @Test
    void nr_that_comes_and_goes_is_a_share_of_the_last_minute() {
        Recent recent = new Recent(List.of(
                heard(90, -90, true),
                heard(40, -90, true),
                heard(30, -90, false),
                heard(2, -90, false),
                heard(1, -90, false)));
        assertEquals(OptionalDouble.of(0.25), recent.nrShare());
        assertEquals(List.of(), new Recent(List.of()).cells());
    }
}
