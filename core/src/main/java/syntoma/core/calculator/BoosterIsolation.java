package syntoma.core.calculator;

import java.util.List;
import syntoma.core.booster.UsableGain;
import syntoma.core.caution.Caution;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** How much of a booster’s gain is usable at this distance between its antennas. */
final class BoosterIsolation implements Calculator {
    @Override
    public String key() {
        return "isolation";
    }

    @Override
    public String name() {
        return "Isolation of a booster";
    }

    @Override
    public String answers() {
        return "How much of a booster’s gain is usable at this distance between its antennas.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.number("apart", "Antennas apart", "m", "3", 0.3, 100),
                Input.number("mhz", "Frequency", "MHz", "800", 300, 6000),
                Input.number("shield", "Roof or walls between", "dB", "15", 0, 60),
                Input.number("outside", "Outside antenna", "dBi", "5", -10, 30),
                Input.number("inside", "Inside antenna", "dBi", "3", -10, 30),
                Input.choice(
                        "facing",
                        "Direction",
                        List.of("away from each other", "toward each other"),
                        "away from each other"),
                Input.number("rated", "Rated gain", "dB", "65", 0, 120));
    }

    @Override
    public String formula() {
        return "Isolation = 32.45 + 20 log₁₀ d(km) + 20 log₁₀ f(MHz) + walls − gains toward each other; usable gain = min(rated, isolation − 10).";
    }

    @Override
    public Sentence holds() {
        return Sentence.of(
                "From ",
                Quantity.metres(0.3),
                " on, without reflections from nearby metal. A booster near its limit turns its gain down or oscillates: trust its warning light.");
    }

    @Override
    public String caution() {
        return Caution.BOOSTER.says() + " " + Caution.BOOSTER_ON.says();
    }

    @Override
    public Answer of(GivenValues given) {
        boolean away = given.choice("facing").startsWith("away");
        double back = away ? UsableGain.BACK_DB : 0;
        UsableGain gain = new UsableGain(
                given.number("apart"),
                given.number("shield"),
                given.number("outside") - back,
                given.number("inside") - back);
        double mhz = given.number("mhz");
        double isolation = gain.isolationDb(mhz);
        double rated = given.number("rated");
        double usable = Math.max(0, gain.db(rated, mhz));
        double missing = rated + UsableGain.MARGIN_DB - isolation;
        double metres = given.number("apart") * Math.pow(10, Math.max(0, missing) / 20);
        return Answer.of(
                usable >= rated
                        ? "All of its " + Values.round(rated, 0) + " dB can be used: about "
                                + Values.round(isolation, 0) + " dB of isolation."
                        : Sentence.of(
                                "About " + Values.round(usable, 0) + " of its " + Values.round(rated, 0)
                                        + " dB can be used. For all of it, move the antennas about ",
                                Quantity.metres(metres, 0),
                                " apart, or put " + Values.round(missing, 0) + " dB more between them."),
                Answer.about("Isolation", Values.round(isolation, 1) + " dB"),
                Answer.about("Usable gain", Values.round(usable, 1) + " dB"),
                Answer.about("Distance for full gain", Quantity.metres(metres, 1)));
    }
}
