package syntoma.core.sheettext;

import java.util.List;
import syntoma.core.sheettext.Amounts.Amount;

/** What a plan gives. */
final class SimFigures {
    private SimFigures() {}

    static void read(List<Line> lines, List<Found> found) {
        for (Line line : lines) {
            for (Amount a : Amounts.of(line, Amounts.GIGABYTES)) {
                String words = line.words(a.from(), a.to());
                boolean part = line.says("roaming", "then", "after", "of which");
                found.add(
                        part
                                ? Found.unsure(
                                        "allowanceGb", a.high(), line, words, "Is that the allowance of a month?")
                                : Found.sure("allowanceGb", Amounts.tidy(a.high()), line, words));
            }
            for (Amount a : Amounts.of(line, Amounts.MBPS)) {
                String words = line.words(a.from(), a.to());
                boolean after = line.says("after", "then", "throttled", "reduced");
                found.add(
                        after
                                ? Found.unsure(
                                        "capMbps", Amounts.tidy(a.high()), line, words, "Does it hold from the start?")
                                : Found.sure("capMbps", Amounts.tidy(a.high()), line, words));
            }
            String size = line.says("nano")
                    ? "nano"
                    : line.says("micro") ? "micro" : line.says("esim", "e-sim") ? "eSIM" : "";
            if (!size.isEmpty()) {
                found.add(Found.sure("size", size, line, line.text()));
            }
            if (line.says("reset", "renews", "billing day")) {
                for (Token t : line.tokens()) {
                    if (t.isNumber() && t.value() >= 1 && t.value() <= 31 && t.value() == Math.rint(t.value())) {
                        found.add(Found.sure("resetDay", t.value(), line, line.text()));
                        break;
                    }
                }
            }
            int carrier = line.lower().indexOf("carrier:");
            int network = carrier >= 0 ? carrier : line.lower().indexOf("network:");
            if (network >= 0) {
                String rest = line.text().substring(network + 8).strip();
                if (!rest.isEmpty()) {
                    found.add(Found.sure("carrier", rest, line, line.text()));
                }
            }
        }
    }
}
