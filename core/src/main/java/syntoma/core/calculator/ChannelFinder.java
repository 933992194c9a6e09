package syntoma.core.calculator;

import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Channel;
import syntoma.core.band.Channels;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** The band of a channel number or a frequency. */
final class ChannelFinder implements Calculator {
    @Override
    public String key() {
        return "channel";
    }

    @Override
    public String name() {
        return "Channel and band";
    }

    @Override
    public String answers() {
        return "The band of a channel number or a frequency.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.choice(
                        "technology",
                        "What is known",
                        List.of("EARFCN (LTE)", "NR-ARFCN (5G)", "a frequency"),
                        "EARFCN (LTE)"),
                Input.number("number", "Channel number or MHz", "", "1300", 0, 3_279_165),
                Input.text("band", "Band, if known", "").maybe());
    }

    @Override
    public String formula() {
        return "LTE: F = F_low + 0.1 (N − N_offs), 3GPP TS 36.101 5.7.3. 5G: F = F_offs + ΔF (N − N_offs), TS 38.104 5.4.2.1.";
    }

    @Override
    public Sentence holds() {
        return Sentence.of(
                "Exact. A 5G channel number alone does not fix the band where bands overlap; a frequency can be in several.");
    }

    @Override
    public Answer of(GivenValues given) {
        double number = given.number("number");
        return switch (given.choice("technology")) {
            case "a frequency" -> frequency(number);
            case "NR-ARFCN (5G)" ->
                channel(
                        given,
                        () -> given.text("band").isEmpty()
                                ? Channels.nrarfcn(integer(number))
                                : Channels.nrarfcn(integer(number), Bands.of(given.text("band"))));
            default -> channel(given, () -> Channels.earfcn(integer(number)));
        };
    }

    private static int integer(double number) {
        if (number != Math.rint(number)) {
            throw GivenValues.refuse(
                    "number", "Channel number is " + Values.format(number) + "; allowed is a whole number");
        }
        return (int) number;
    }

    private static Answer channel(GivenValues given, Supplier<Channel> found) {
        Channel channel;
        try {
            channel = found.get();
        } catch (IllegalArgumentException none) {
            throw GivenValues.refuse("number", none.getMessage());
        }
        String down = Values.format(channel.downlinkMhz()) + " MHz";
        String up = channel.uplinkMhz().map(mhz -> Values.format(mhz) + " MHz").orElse("none");
        String band = channel.band()
                .map(Band::name)
                .orElseGet(() -> channel.candidates().stream().map(Band::name).collect(Collectors.joining(" or ")));
        Answer answer = Answer.of(
                (channel.band().isPresent() ? "It is band " + band : "It can be " + band) + ": " + down + " down, " + up
                        + " up.",
                Answer.line("Band", band),
                Answer.line("Downlink", down),
                Answer.line("Uplink", up));
        return channel.band().isPresent()
                ? answer.keeping("reading", Map.of("band", band, "arfcn", given.text("number")))
                : answer;
    }

    private static Answer frequency(double mhz) {
        List<String> down = Bands.all().stream()
                .filter(b -> b.downlink().contains(mhz))
                .map(Band::name)
                .toList();
        List<String> up = Bands.all().stream()
                .filter(b -> b.uplink().filter(span -> span.contains(mhz)).isPresent())
                .map(Band::name)
                .toList();
        return Answer.of(
                down.isEmpty() && up.isEmpty()
                        ? Values.format(mhz) + " MHz is in no operating band."
                        : Values.format(mhz) + " MHz is in the downlink of " + bandText(down) + " and in the uplink of "
                                + bandText(up) + ".",
                Answer.line("Downlink of", bandText(down)),
                Answer.line("Uplink of", bandText(up)));
    }

    private static String bandText(List<String> bands) {
        return bands.isEmpty() ? "none" : String.join(", ", bands);
    }
}
