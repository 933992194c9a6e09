package syntoma.standin.practice;

import java.util.List;
import java.util.SplittableRandom;
import java.util.function.BiFunction;
import syntoma.standin.World;
import syntoma.standin.air.Hands;

/** What a practice trial can teach. Which one it is, is not told before a verdict is given. */
public enum Lesson {
    NOTHING_BETWEEN(
            "There is nothing between them.",
            "What looked like a difference was the air: from one run to the next a link scatters by a third.",
            "Birch Hollow",
            14,
            (hands, random) -> both(hands, World.ROOF_DOME, 1, 1)),
    UP_AND_DOWN_DIFFER(
            "Up and down differ.",
            "One antenna hears better and is heard worse: ask for the direction that your work needs.",
            "Sawmill Yard",
            10,
            (hands, random) ->
                    both(hands, World.ROOF_DOME, 1.5 + 0.4 * random.nextDouble(), 0.5 + 0.15 * random.nextDouble())),
    THE_CAP(
            "The plan holds both.",
            "Both run into the rate that the plan allows. No antenna helps against that.",
            "Ferry Slip Four",
            11,
            (hands, random) -> List.of(
                    Rival.asItIs("A", hands.on("Brissa").with(World.ROOF_DOME)),
                    Rival.asItIs("B", hands.on("Brissa").with(World.MAST_PANEL)))),
    THE_BUSY_EVENING(
            "The evening came in between.",
            "Within a round both are hit alike; who measures one before and the other after work sees the evening.",
            "Quarry Lake",
            16,
            (hands, random) -> both(hands, World.ROOF_DOME, 1, 1)),
    THE_BAD_LEAD(
            "One lead is bad.",
            "The sheet promises more; what arrives is less. Look for water, a crimp, a connector without its pin.",
            "Saltmarsh Jetty",
            9,
            (hands, random) -> both(hands, World.ROOF_DOME, 0.6, 0.45 + 0.15 * random.nextDouble())),
    REFLECTIONS(
            "The signal comes from all sides.",
            "Among trees and walls there is nothing to aim at: the panel does little more than the dome.",
            "Birch Hollow",
            13,
            (hands, random) -> both(hands, World.ROOF_DOME, 1.05, 1.05)),
    CLEARLY_BETTER(
            "One is better.",
            "Where there is a difference, a fair trial shows it in a few rounds.",
            "Juniper Ridge",
            10,
            (hands, random) -> both(hands, World.ROOF_DOME, 1.4, 1.5 + 0.4 * random.nextDouble()));

    private static final String CARRIER = "Tarnwave";

    private final String title;
    private final String says;
    private final String campsite;
    private final int fromHour;
    private final BiFunction<Hands, SplittableRandom, List<Rival>> rivals;

    Lesson(
            String title,
            String says,
            String campsite,
            int fromHour,
            BiFunction<Hands, SplittableRandom, List<Rival>> rivals) {
        this.title = title;
        this.says = says;
        this.campsite = campsite;
        this.fromHour = fromHour;
        this.rivals = rivals;
    }

    private static List<Rival> both(Hands hands, String setup, double downTimes, double upTimes) {
        return List.of(Rival.asItIs("A", hands.with(setup)), new Rival("B", hands.with(setup), downTimes, upTimes));
    }

    public String title() {
        return title;
    }

    public String says() {
        return says;
    }

    public String campsite() {
        return campsite;
    }

    public int fromHour() {
        return fromHour;
    }

    List<Rival> rivals(SplittableRandom random) {
        return rivals.apply(Hands.of(campsite, World.ROOF_DOME, CARRIER), random);
    }
}
