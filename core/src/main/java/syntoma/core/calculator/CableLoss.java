package syntoma.core.calculator;

import java.util.List;
import java.util.Map;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Staircase;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** The loss of a cable by class, length and frequency. */
final class CableLoss implements Calculator {
    @Override
    public String key() {
        return "cable";
    }

    @Override
    public String name() {
        return "Cable";
    }

    @Override
    public String answers() {
        return "The loss of a cable by class, length and frequency.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.choice(
                        "class",
                        "Cable",
                        CableClass.all().stream().map(CableClass::name).toList(),
                        "240-class"),
                Input.number("length", "Length", "m", "5", 0, 200),
                Input.number("mhz", "Frequency", "MHz", "1800", 10, 8000),
                Input.number("plugs", "Connector pairs", "", "1", 0, 10));
    }

    @Override
    public String formula() {
        return "L = (a √f + b f) · length + 0.15 dB for each connector pair; a and b through the class’s two datasheet points.";
    }

    @Override
    public Sentence holds() {
        return Sentence.of(
                "For a cable in good condition. Kinks, water and bad crimps add loss; cables of one class differ by about 10 %.");
    }

    @Override
    public Answer of(GivenValues given) {
        CableClass cable = CableClass.of(given.choice("class"));
        double mhz = given.number("mhz");
        double metres = given.number("length");
        double cableDb = cable.lossDb(mhz, metres);
        double plugs = given.number("plugs") * Staircase.CONNECTOR_DB;
        double all = cableDb + plugs;
        double left = 100 * Math.pow(10, -all / 10);
        return Answer.of(
                        "It loses about " + Values.round(all, 1) + " dB: " + Values.round(left, 0)
                                + " % of the antenna’s power reaches the device.",
                        Answer.about("Cable", Values.round(cableDb, 1) + " dB"),
                        Answer.about("Connectors", Values.round(plugs, 1) + " dB"),
                        Answer.about("Total", Values.round(all, 1) + " dB"),
                        Answer.about("Power left", Values.round(left, 0) + " %"))
                .keeping("cable", Map.of("cableClass", cable.name(), "lengthM", Values.format(metres)));
    }
}
