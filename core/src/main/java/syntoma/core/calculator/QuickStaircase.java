package syntoma.core.calculator;

import java.util.List;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Staircase;
import syntoma.core.propagation.HeightGain;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** What an antenna gains after its cable, compared with the device’s own antenna inside. */
final class QuickStaircase implements Calculator {
    @Override
    public String key() {
        return "staircase";
    }

    @Override
    public String name() {
        return "Staircase";
    }

    @Override
    public String answers() {
        return "What an antenna gains after its cable, compared with the device’s own antenna inside.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.number("gain", "Antenna gain", "dBi", "5", -10, 40),
                Input.choice(
                        "class",
                        "Cable",
                        CableClass.all().stream().map(CableClass::name).toList(),
                        "240-class"),
                Input.number("length", "Length", "m", "5", 0, 200),
                Input.number("mhz", "Frequency", "MHz", "1800", 10, 8000),
                Input.number("adapters", "Adapters", "", "0", 0, 10),
                Input.number("shell", "Loss of the walls", "dB", "15", 0, 60),
                Input.number("fromHeight", "Height of the roof", "m", "2.8", 0.5, 10),
                Input.number("height", "Height of the antenna", "m", "2.8", 0.5, 20));
    }

    @Override
    public String formula() {
        return "Net = gain − cable − 0.15 per connector pair − 0.4 per adapter + 20 log₁₀(h₂ ∕ h₁), at most 12; compared with the own antenna inside: net + walls.";
    }

    @Override
    public Sentence holds() {
        return Sentence.of(
                "If gain and walls are as stated. Height may bring nothing in woods or behind a ridge; reflections change it by up to 3 dB. For a whole chain, build a setup under Gear.");
    }

    @Override
    public Answer of(GivenValues given) {
        double mhz = given.number("mhz");
        double cable = CableClass.of(given.choice("class")).lossDb(mhz, given.number("length"));
        double joints = Staircase.CONNECTOR_DB + given.number("adapters") * Staircase.ADAPTER_DB;
        double height = HeightGain.db(given.number("fromHeight"), given.number("height"));
        double net = given.number("gain") - cable - joints + height;
        double over = net + given.number("shell");
        return Answer.of(
                "Net about " + Values.round(net, 1) + " dB; about " + Values.round(over, 1)
                        + " dB more than the device’s own antenna inside.",
                Answer.about("Antenna", "+" + Values.round(given.number("gain"), 1) + " dB"),
                Answer.about("Cable", "−" + Values.round(cable, 1) + " dB"),
                Answer.about("Connectors and adapters", "−" + Values.round(joints, 1) + " dB"),
                Answer.about("Height", Values.round(height, 1) + " dB"),
                Answer.about("Net", Values.round(net, 1) + " dB"),
                Answer.about("Compared with the own antenna inside", Values.round(over, 1) + " dB"));
    }
}
