package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import syntoma.core.chain.Feed;
import syntoma.core.sheettext.Amounts.Amount;

/** How something is fed, and what it draws. */
final class Supplies {
    private Supplies() {}

    static void read(List<Line> lines, List<FoundField> found) {
        Set<String> feeds = new LinkedHashSet<>();
        Line ofFeeds = null;
        for (Line line : lines) {
            Set<String> here = feeds(line);
            if (!here.isEmpty()) {
                ofFeeds = ofFeeds == null ? line : ofFeeds;
                feeds.addAll(here);
            }
            volts(line, found);
            watts(line, found);
        }
        if (ofFeeds != null) {
            found.add(FoundField.isSure("feeds", new ArrayList<>(feeds), ofFeeds, ofFeeds.text()));
        }
    }

    private static Set<String> feeds(Line line) {
        Set<String> feeds = new LinkedHashSet<>();
        if (line.says("poe", "power over ethernet")) {
            boolean out = line.says("poe out", "poe-out", "pse");
            if (line.says("passive") && !out) {
                feeds.add(Feed.POE_PASSIVE.label());
            }
            if (line.says("802.3at", "poe+", "802.3af/at") && !out) {
                feeds.add(Feed.POE_AT.label());
            }
            if (line.says("802.3af") && !out) {
                feeds.add(Feed.POE_AF.label());
            }
        }
        boolean usb = line.says("usb") && line.says("power", "charg", "supply", "input", "5 v", "5v");
        if (usb && line.says("usb pd", "usb-pd", "power delivery", "usb-c pd")) {
            feeds.add(Feed.USB_PD.label());
        } else if (usb && line.says("5 v", "5v", "5.0 v")) {
            feeds.add(Feed.USB.label());
        }
        if (line.says("dc socket", "dc jack", "barrel", "terminal block", "terminal", "dc input", "dc in")) {
            feeds.add(Feed.DC.label());
        }
        return feeds;
    }

    private static void volts(Line line, List<FoundField> found) {
        boolean mains = line.says("230 v", "100-240", "100–240", "100 - 240", "110-240", "vac", " ac ", "mains");
        for (Amount a : Amounts.of(line, Amounts.VOLTS)) {
            String words = line.words(a.from(), a.to());
            boolean poe = line.says("passive poe", "passive power");
            if (poe && a.high() <= 60) {
                found.add(FoundField.isSure("passiveV", Amounts.tidy(a.high()), line, words));
            } else if (a.high() <= 60 && !line.says("usb") && !(mains && a.low() >= 60)) {
                range(line, a, words, found);
            }
        }
    }

    private static void range(Line line, Amount a, String words, List<FoundField> found) {
        boolean input = line.says("input", "power", "supply", "dc", "voltage", "versorgung", "spannung", "adapter");
        if (!input) {
            return;
        }
        if (a.isRange()) {
            found.add(FoundField.isSure("lowV", Amounts.tidy(a.low()), line, words));
            found.add(FoundField.isSure("highV", Amounts.tidy(a.high()), line, words));
        } else {
            String asked = "Does it take " + words + " alone? A vehicle's battery gives more and less.";
            found.add(FoundField.unsure("lowV", Amounts.tidy(a.low()), line, words, asked));
            found.add(FoundField.unsure("highV", Amounts.tidy(a.high()), line, words, asked));
        }
    }

    private static String upToComma(String text) {
        int end = 0;
        while (end < text.length() && ",;/|".indexOf(text.charAt(end)) < 0) {
            end++;
        }
        return text.substring(0, end);
    }

    private static void watts(Line line, List<FoundField> found) {
        if (!line.says("consum", "power", "draw", "leistung", "verbrauch", "watt", "idle", "typ", "max")
                || line.says("tx power", "output power", "transmit", "poe out", "adapter output")) {
            return;
        }
        for (Amount a : Amounts.of(line, Amounts.WATTS)) {
            String words = line.words(a.from(), a.to());
            String before = line.lower().substring(0, line.at(a.from()).start());
            String behind = line.lower().substring(line.at(a.to()).end());
            String near = before.substring(Math.max(0, before.length() - 16)) + "|" + upToComma(behind);
            boolean most =
                    near.contains("max") || near.contains("peak") || near.contains("<") || near.contains("up to");
            boolean usual =
                    near.contains("typ") || near.contains("idle") || near.contains("average") || near.contains("avg");
            if (a.isRange()) {
                found.add(FoundField.isSure("peakW", Amounts.tidy(a.high()), line, words));
            } else if (most) {
                found.add(FoundField.isSure("peakW", Amounts.tidy(a.high()), line, words));
            } else if (usual) {
                found.add(FoundField.isSure("drawW", Amounts.tidy(a.high()), line, words));
            } else {
                found.add(FoundField.unsure(
                        "drawW", Amounts.tidy(a.high()), line, words, "Is that its usual draw, or the most?"));
            }
        }
    }
}
