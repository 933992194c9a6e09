package syntoma.core.advice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import syntoma.core.need.BuiltInNeeds;
import syntoma.core.need.Need;
import syntoma.core.need.PartOfDay;
import syntoma.core.need.Requirement;

/** Chances of runs, and the order in which options are offered. */
class OutlookTest {
    private static final Outlook.Rate SLOW = rate(200, 0.05, 0.05);

    private static Outlook.Rate rate(double middle, double known, double scatter) {
        return new Outlook.Rate(Math.log(middle), known, scatter, Double.POSITIVE_INFINITY);
    }

    private static Outlook of(double works, double up) {
        return new Outlook(-95, works, rate(20, 0.2, 0.05), rate(up, 0.2, 0.05), SLOW, 0.4);
    }

    private static Outlook.RunRequirement upload(double mbps) {
        return new Outlook.RunRequirement(
                OptionalDouble.empty(), OptionalDouble.of(mbps), OptionalDouble.empty(), OptionalDouble.empty());
    }

    @Test
    void the_chance_of_one_limit_is_the_share_of_the_distribution_above_it() {
        double above = Math.log(3.0 / 5) / Math.sqrt(0.25);
        double share = 1 - new NormalDistribution(0, 1).cumulativeProbability(above);
        assertEquals(0.96 * share, of(0.96, 5).chance(upload(3)), 0.004);
        assertEquals(0.5, of(1, 5).chance(upload(5)), 1e-9);
    }

    @Test
    void limits_together_are_met_less_often_than_each_and_more_often_than_by_chance() {
        Outlook outlook = new Outlook(-95, 1, rate(4, 0.2, 0.05), rate(4, 0.2, 0.05), SLOW, 0.4);
        Outlook.RunRequirement down = new Outlook.RunRequirement(
                OptionalDouble.of(4), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
        Outlook.RunRequirement both = new Outlook.RunRequirement(
                OptionalDouble.of(4), OptionalDouble.of(4), OptionalDouble.empty(), OptionalDouble.empty());
        assertEquals(0.5, outlook.chance(down), 1e-9);
        assertTrue(outlook.chance(both) < 0.45 && outlook.chance(both) > 0.30, outlook.chance(both) + "");
        // two normals that go together by 0.7225 are both above their means in 1/4 + asin(0.7225)/(2π) of cases
        assertEquals(0.25 + Math.asin(0.7225) / (2 * Math.PI), outlook.chance(both), 0.005);
    }

    @Test
    void a_latency_and_a_cap_limit_it() {
        Outlook.RunRequirement calls =
                Outlook.RunRequirement.of(BuiltInNeeds.all().get(2));
        Outlook quick = new Outlook(-95, 1, rate(30, 0.01, 0.01), rate(30, 0.01, 0.01), rate(100, 0.01, 0.01), 0.4);
        Outlook late = new Outlook(-95, 1, rate(30, 0.01, 0.01), rate(30, 0.01, 0.01), rate(600, 0.01, 0.01), 0.4);
        assertTrue(quick.chance(calls) > 0.98);
        assertTrue(late.chance(calls) < 0.01);
        Outlook.Rate held = new Outlook.Rate(Math.log(30), 0.01, 0.01, 5);
        Outlook capped = new Outlook(-95, 1, held, held, rate(100, 0.01, 0.01), 0.4);
        assertEquals(0, capped.chance(upload(8)));
        assertEquals(5, capped.up().middle());
        assertTrue(capped.chance(upload(4)) > 0.99);
    }

    private static List<AdvisedOption> ranked(
            List<Option> options, List<Outlook> outlooks, Outlook.RunRequirement asked) {
        return AdvisedOption.rank(IntStream.range(0, options.size())
                .mapToObj(i -> AdvisedOption.of(options.get(i), outlooks.get(i), asked, 10))
                .toList());
    }

    @Test
    void nothing_is_promised_above_seven_in_ten_after_one_run() {
        AdvisedOption once = AdvisedOption.of(option("Whips", 0, 0), of(0.97, 9), upload(2), 1);
        assertEquals(0.7, once.chance(), 1e-12);
        assertTrue(AdvisedOption.of(option("Whips", 0, 0), of(0.97, 9), upload(2), 2)
                        .chance()
                > 0.9);
    }

    @Test
    void of_options_within_five_points_the_least_work_comes_first() {
        List<Option> options = List.of(option("Mast panel", 14, 0), option("Roof dome", 0, 2), option("Whips", 0, 1));
        List<Outlook> near = List.of(of(0.96, 9), of(0.93, 9), of(0.94, 9));
        assertEquals(List.of("Whips", "Roof dome", "Mast panel"), names(ranked(options, near, upload(2))));
        List<Outlook> apart = List.of(of(0.96, 9), of(0.80, 9), of(0.60, 9));
        assertEquals(List.of("Mast panel", "Roof dome", "Whips"), names(ranked(options, apart, upload(2))));
    }

    @Test
    void a_quick_test_is_named_where_it_would_change_the_choice() {
        List<Option> options = List.of(option("Roof dome", 0, 0), option("Whips", 4, 0));
        Outlook sure = new Outlook(-95, 0.97, rate(20, 0.02, 0.05), rate(3.2, 0.02, 0.05), SLOW, 0.4);
        Outlook unsure = new Outlook(-95, 0.97, rate(20, 0.8, 0.05), rate(3, 0.9, 0.05), SLOW, 0.4);
        List<AdvisedOption> open = ranked(options, List.of(sure, unsure), upload(3));
        QuickTest test = QuickTest.of(open).orElseThrow();
        assertEquals("Whips", test.of().option().setup());
        assertTrue(test.gain() > 0.1, test.gain() + "");
        List<AdvisedOption> clear = ranked(options, List.of(of(0.98, 30), of(0.5, 1)), upload(3));
        assertTrue(QuickTest.of(clear).isEmpty());
    }

    private static Option option(String setup, double minutes, double price) {
        return new Option(
                setup, "Tarnwave", OptionalDouble.empty(), minutes, OptionalDouble.empty(), OptionalDouble.of(price));
    }

    private static List<String> names(List<AdvisedOption> ranked) {
        return ranked.stream().map(a -> a.option().setup()).toList();
    }

    /** A film in the evening: at noon the cell would do, in the evening it may not. */
    @Test
    void a_need_of_the_evening_is_judged_by_the_evening() {
        Need film = new Need(
                "HD film",
                OptionalDouble.of(8),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                PartOfDay.EVENINGS,
                2);
        List<NeededHours> noon = NeededHours.of(Requirement.of(List.of(film)), DayPart.DAY);
        Outlook.Rate fast = new Outlook.Rate(Math.log(20), 0.05, 0.1, Double.POSITIVE_INFINITY);
        Outlook.Rate slow = new Outlook.Rate(Math.log(7), 0.05, 0.1, Double.POSITIVE_INFINITY);
        AdvisedOption advised = AdvisedOption.of(
                option("Whips", 0, 0),
                noon,
                part -> new Outlook(-90, 1, part == DayPart.EVENING ? slow : fast, fast, fast, 0.2),
                DayPart.DAY,
                9);
        assertEquals("this evening", advised.hours().text());
        assertEquals(
                List.of("HD film now", "HD film this evening"),
                advised.times().stream().map(AdvisedOption.ChanceAt::need).toList());
        assertTrue(advised.times().get(0).chance() > 0.95, advised.toString());
        // ln(8 ∕ 7) ∕ √0.15 = 0.345 standard deviations above the mean: 36.5 %
        assertEquals(0.365, advised.chance(), 0.01);
        AdvisedOption inTheEvening = AdvisedOption.of(
                option("Whips", 0, 0),
                NeededHours.of(Requirement.of(List.of(film)), DayPart.EVENING),
                part -> new Outlook(-90, 1, slow, fast, fast, 0.2),
                DayPart.EVENING,
                9);
        assertEquals(List.of(), inTheEvening.times());
        assertEquals(advised.chance(), inTheEvening.chance(), 1e-12);
    }
}
