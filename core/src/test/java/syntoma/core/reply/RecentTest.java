package syntoma.core.reply;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import syntoma.core.reading.Grade;
import syntoma.core.reading.RadioMetric;

class RecentTest {
    private static Recent.AgedReading heard(double ageS, double rsrp, boolean nr) {
        Node.Value level = new Node.Value(Double.toString(rsrp));
        Mapping mapping =
                new Mapping(nr ? Map.of("primary.rsrpDbm", "/a", "nr.rsrpDbm", "/a") : Map.of("primary.rsrpDbm", "/a"));
        return new Recent.AgedReading(ageS, mapping.read(new Node.Group(Map.of("a", level))));
    }

    @Test
    void a_strip_has_the_last_value_and_the_spread_of_the_last_minutes() {
        Recent recent = new Recent(List.of(heard(200, -90, false), heard(100, -101, false), heard(1, -96, false)));
        Recent.Strip strip = recent.cells().get(0).strips().get(0);
        assertEquals(-96, strip.value());
        assertEquals(Grade.FAIR, strip.grade());
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

    private static Recent.AgedReading of(double ageS, double rsrp, String band) {
        Mapping mapping = new Mapping(Map.of("primary.rsrpDbm", "/a", "primary.band", "/b"));
        return new Recent.AgedReading(
                ageS,
                mapping.read(
                        new Node.Group(Map.of("a", new Node.Value(Double.toString(rsrp)), "b", new Node.Value(band)))));
    }

    @Test
    void a_steady_level_is_the_mean_of_three_seconds_of_one_cell() {
        Recent recent = new Recent(List.of(
                of(12, -84, "B20"), of(5, -99, "B20"), of(2.4, -92, "B20"), of(1.4, -70, "B3"), of(0.4, -90, "B20")));
        Recent.Steady now = recent.steady(RadioMetric.RSRP).orElseThrow();
        assertEquals(-91, now.value());
        assertEquals(2, now.readings());
        assertEquals(Optional.empty(), recent.steady(RadioMetric.SINR));
        assertEquals(
                List.of(-84.0, -99.0, -95.5, -70.0, -91.0),
                recent.course(RadioMetric.RSRP, 300).stream()
                        .map(Recent.Steady::value)
                        .toList());
        assertEquals(1, recent.course(RadioMetric.RSRP, 1).size());
        assertEquals(-84, recent.steadyAgo(RadioMetric.RSRP, 12).orElseThrow().value());
    }

    @Test
    void what_was_heard_long_ago_is_none_of_now() {
        Recent recent = new Recent(List.of(of(9, -84, "B20")));
        assertEquals(Optional.empty(), recent.steady(RadioMetric.RSRP));
        assertEquals(9, recent.course(RadioMetric.RSRP, 10).get(0).agoS());
        assertEquals(List.of(), recent.course(RadioMetric.RSRP, 8));
    }
}
