package syntoma.core.sheettext;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import syntoma.core.sheettext.Amounts.Amount;

/** What a plan gives. */
final class SimFigures {
    private static final Pattern NETWORK = Pattern.compile(
            "(?iu)(?:^|[|,;]\\s*)(?:mobile |mobilfunk)?(?:network|carrier|operator|provider|netz(?:betreiber|anbieter)?|anbieter|betreiber|réseau"
                    + "|opérateur|operador|red|operatore|rete|operatör|nät|operaattori|verkko|netwerk|aanbieder)\\s*(?:[:=|\\t]|\\s{2,})\\s*"
                    + "(?<name>\\p{L}[^|;,\\t]{1,39})");
    private static final String[] AFTER = {
        "after",
        "then",
        "throttled",
        "reduced",
        "danach",
        "dann ",
        "gedrosselt",
        "anschließend",
        "ensuite",
        "puis ",
        "au-delà",
        "después",
        "luego",
        "poi ",
        "dopo",
        "därefter",
        "sedan ",
        "jälkeen",
        "daarna"
    };
    private static final String[] RESETS = {
        "reset",
        "renews",
        "renewal",
        "billing day",
        "abrechnung",
        "erneuer",
        "facturation",
        "renouvel",
        "factura",
        "rinnov",
        "nollställ",
        "förny",
        "uusiutu",
        "vernieuw"
    };

    private SimFigures() {}

    static void read(List<Line> lines, List<FoundField> found) {
        for (Line line : lines) {
            for (Amount a : Amounts.of(line, Amounts.GIGABYTES)) {
                String words = line.words(a.from(), a.to());
                boolean part = line.says("roaming", "then", "after", "of which");
                found.add(
                        part
                                ? FoundField.unsure(
                                        "allowanceGb", a.high(), line, words, "Is that the allowance of a month?")
                                : FoundField.isSure("allowanceGb", Amounts.tidy(a.high()), line, words));
            }
            for (Amount a : Amounts.of(line, Amounts.MBPS)) {
                String words = line.words(a.from(), a.to());
                boolean after = line.says(AFTER);
                found.add(
                        after
                                ? FoundField.unsure(
                                        "capMbps", Amounts.tidy(a.high()), line, words, "Does it hold from the start?")
                                : FoundField.isSure("capMbps", Amounts.tidy(a.high()), line, words));
            }
            String size = line.says("nano")
                    ? "nano"
                    : line.says("micro") ? "micro" : line.says("esim", "e-sim") ? "eSIM" : "";
            if (!size.isEmpty()) {
                found.add(FoundField.isSure("size", size, line, line.text()));
            }
            if (line.says(RESETS)) {
                for (Token t : line.tokens()) {
                    if (t.isNumber() && t.value() >= 1 && t.value() <= 31 && t.value() == Math.rint(t.value())) {
                        found.add(FoundField.isSure("resetDay", t.value(), line, line.text()));
                        break;
                    }
                }
            }
            Matcher network = NETWORK.matcher(line.text());
            if (network.find()) {
                found.add(FoundField.isSure("carrier", network.group("name").strip(), line, line.text()));
            }
        }
    }
}
