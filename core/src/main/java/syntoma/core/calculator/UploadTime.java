package syntoma.core.calculator;

import java.time.Duration;
import java.util.List;
import syntoma.core.need.Transfer;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/** How long an upload takes, which rate a night needs, how much data a run uses. */
final class UploadTime implements Calculator {
    @Override
    public String key() {
        return "upload";
    }

    @Override
    public String name() {
        return "Upload time and data";
    }

    @Override
    public String answers() {
        return "How long an upload takes, which rate a night needs, how much data a run uses.";
    }

    @Override
    public List<Input> inputs() {
        return List.of(
                Input.number("gb", "Data", "GB", "11", 0.001, 100_000),
                Input.number("mbps", "Rate", "Mb/s", "12.4", 0.001, 100_000),
                Input.number("hours", "Hours available", "h", "8", 0.1, 744));
    }

    @Override
    public String formula() {
        return "Time = GB · 8000 ∕ rate; rate = GB · 8000 ∕ (hours · 3600); data = rate · seconds ∕ 8.";
    }

    @Override
    public Sentence holds() {
        return Sentence.of(
                "If the rate stays the same. Evenings are slower than nights, and some services slow uploads: measure at the hour of the upload.");
    }

    @Override
    public Answer of(GivenValues given) {
        double gb = given.number("gb");
        double mbps = given.number("mbps");
        Duration time = Transfer.time(gb, mbps);
        double wanted = Transfer.mbps(gb, given.number("hours"));
        return Answer.of(
                Values.format(gb) + " GB at " + Values.format(mbps) + " Mb/s takes " + durationText(time) + ". In "
                        + Values.format(given.number("hours")) + " h it needs " + Values.round(wanted, 2) + " Mb/s.",
                Answer.line("Time", durationText(time)),
                Answer.line("Rate needed", Values.round(wanted, 2) + " Mb/s"),
                Answer.line("A run of 10 s at that rate", Values.round(Transfer.gb(mbps, 10) * 1000, 0) + " MB"));
    }

    private static String durationText(Duration time) {
        long minutes = Math.round(time.toSeconds() / 60.0);
        return minutes < 1
                ? time.toSeconds() + " s"
                : minutes < 60 ? minutes + " min" : minutes / 60 + " h " + minutes % 60 + " min";
    }
}
