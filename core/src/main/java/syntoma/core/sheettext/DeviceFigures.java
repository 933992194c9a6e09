package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import syntoma.core.chain.Feature;
import syntoma.core.chain.InternalAntennas;
import syntoma.core.sheettext.Amounts.Amount;

/** What a router, hotspot or phone can do, beside its bands, sockets and supply. */
final class DeviceFigures {
    /** Both in one bracket, as in “Dual SIM (nano + eSIM)”. */
    private static final Pattern ONE_IS_AN_ESIM =
            Pattern.compile("\\((?:1 ?x ?)?(?:nano|micro)[- ]?(?:sim)?\\s?(?:\\+|,|/|and|und|et)\\s?(?:1 ?x ?)?e-?sim");

    private DeviceFigures() {}

    static void read(List<Line> lines, List<FoundField> found) {
        Set<String> features = new LinkedHashSet<>();
        Line ofFeatures = null;
        for (Line line : lines) {
            type(line, found);
            streams(line, found);
            cards(line, found);
            rates(line, found);
            counts(line, found);
            screwedOn(line, found);
            Set<String> here = features(line);
            if (!here.isEmpty()) {
                ofFeatures = ofFeatures == null ? line : ofFeatures;
                features.addAll(here);
            }
        }
        if (ofFeatures != null) {
            found.add(FoundField.unsure(
                    "features",
                    new ArrayList<>(features),
                    ofFeatures,
                    ofFeatures.text(),
                    "Are these all that it can do? What is left out counts as missing."));
        }
    }

    private static void type(Line line, List<FoundField> found) {
        boolean said = found.stream().anyMatch(f -> f.field().equals("type"));
        for (String type : new String[] {"router", "hotspot", "phone", "modem"}) {
            if (!said && line.has(type) && line.number() <= 3) {
                found.add(FoundField.isSure("type", type, line, line.text()));
                return;
            }
        }
    }

    /** Antennas for the network that are screwed onto the ports, where a lead takes the place of one. */
    private static void screwedOn(Line line, List<FoundField> found) {
        if (line.says("antenna")
                && line.says("detachable", "removable", "screw-on", "screw on", "unscrew")
                && !line.says("non-detachable", "non-removable", "not detachable", "not removable")
                && !line.isOfWifi()) {
            found.add(FoundField.isSure("internal", InternalAntennas.SCREWED_ON.label(), line, line.text()));
        }
    }

    /** 4x4 MIMO, by the technology that the line names last before it. */
    private static void streams(Line line, List<FoundField> found) {
        if (!line.says("mimo", "streams", "antenna streams") || line.isOfWifi()) {
            return;
        }
        boolean onlyOn = line.says(" on ", " for b", "bands:", " in b", "(b");
        boolean lte = line.has("lte") || line.says("4g");
        boolean nr = line.has("nr") || line.says("5g");
        String field = lte == nr ? "" : lte ? "layersLte" : "layersNr";
        for (int i = 0; i < line.tokens().size(); i++) {
            Token t = line.at(i);
            if (t.is("lte") || t.is("g") && line.at(i - 1).is("4")) {
                field = "layersLte";
            } else if (t.is("nr") || t.is("g") && line.at(i - 1).is("5")) {
                field = "layersNr";
            } else if (t.isNumber()
                    && line.at(i + 1).isTimes()
                    && line.at(i + 2).isNumber()
                    && t.value() == line.at(i + 2).value()
                    && t.value() <= 8) {
                String words = line.words(i, i + 2);
                if (field.isEmpty()) {
                    found.add(FoundField.unsure("layersLte", t.value(), line, words, "Is that for LTE?"));
                } else if (onlyOn) {
                    found.add(FoundField.unsure(field, t.value(), line, words, "On all bands, or on some alone?"));
                } else {
                    found.add(FoundField.isSure(field, t.value(), line, words));
                }
            }
        }
    }

    private static final Pattern NO_ESIM = Pattern.compile(
            "(?<!\\p{L})(?:no|not|without|kein|keine|ohne|sans|pas d’|pas d'|sin|senza|ei|utan|geen)\\s?e-?sim"
                    + "|e-?sim[^\\p{L}\\p{N}]{0,8}(?:(?:support(?:ed)?)[^\\p{L}\\p{N}]{0,4})?(?:no|not|none|nein|non|nej|ei|nee|[✗✘×❌–—-]\\s*$)(?!\\p{L})");

    private static void cards(Line line, List<FoundField> found) {
        if (!line.says("sim")) {
            return;
        }
        if (line.says("esim", "e-sim")) {
            boolean denied = NO_ESIM.matcher(line.lower()).find();
            found.add(
                    line.says("optional", "some models", "depending")
                            ? FoundField.unsure("esim", !denied, line, line.text(), "Does yours take one?")
                            : FoundField.isSure("esim", !denied, line, line.text()));
        }
        String size = line.says("nano", "4ff")
                ? "nano"
                : line.says("micro", "3ff")
                        ? "micro"
                        : line.says("mini", "2ff", "full-size", "full size") ? "full" : "";
        if (!size.isEmpty()) {
            found.add(FoundField.isSure("simSize", size, line, line.text()));
        }
        for (int i = 0; i < line.tokens().size(); i++) {
            Token t = line.at(i);
            boolean counted = t.isNumber()
                    && t.value() >= 1
                    && t.value() <= 8
                    && (line.at(i + 1).isTimes() || line.at(i + 1).is("nano", "micro", "mini", "sim"));
            if (counted || t.is("dual") && line.says("dual sim", "dual-sim", "dual nano", "dual micro")) {
                double number = t.is("dual") ? 2 : t.value();
                found.add(
                        number > 1 && ONE_IS_AN_ESIM.matcher(line.lower()).find()
                                ? FoundField.unsure(
                                        "simSlots", number - 1, line, line.text(), "Is one of them the eSIM?")
                                : FoundField.isSure("simSlots", number, line, line.text()));
                return;
            }
        }
        if (!size.isEmpty() && line.says("slot")) {
            found.add(FoundField.isSure("simSlots", 1.0, line, line.text()));
        }
    }

    private static void rates(Line line, List<FoundField> found) {
        if (line.isOfWifi()) {
            wifi(line, found);
            return;
        }
        boolean port = line.says("ethernet", "lan", "rj45", "rj-45", "gbe", "wan port");
        if (port) {
            ethernet(line, found);
            return;
        }
        for (Amount rate : Amounts.of(line, Amounts.MBPS)) {
            String words = line.words(rate.from(), rate.to());
            String way = direction(line, rate);
            boolean named = line.isOfCellular() || line.says("download", "downlink") || line.has("dl");
            if (way.equals("up") || !named) {
                continue;
            }
            boolean down = way.equals("down") || line.says("up to", "max");
            found.add(
                    down
                            ? FoundField.isSure("downMaxMbps", Amounts.tidy(rate.high()), line, words)
                            : FoundField.unsure(
                                    "downMaxMbps", Amounts.tidy(rate.high()), line, words, "Is that its download?"));
        }
    }

    /** The direction that a rate is said to be of: the word just behind it, else the nearest one before. */
    private static String direction(Line line, Amount rate) {
        String behind = direction(line, rate.to() + 1);
        for (int i = rate.from() - 1; behind.isEmpty() && i >= 0 && !line.at(i).isNumber(); i--) {
            behind = direction(line, i);
        }
        return behind;
    }

    private static String direction(Line line, int i) {
        Token t = line.at(i);
        if (t.is("upload", "ul", "uplink", "↑") || t.is("up") && !line.at(i + 1).is("to")) {
            return "up";
        }
        return t.is("download", "dl", "downlink", "down", "↓") ? "down" : "";
    }

    private static void wifi(Line line, List<FoundField> found) {
        for (int i = 0; i < line.tokens().size(); i++) {
            boolean generation = line.at(i).is("fi", "wifi")
                    && line.at(i + 1).isNumber()
                    && line.at(i + 1).value() >= 4
                    && line.at(i + 1).value() <= 7;
            if (generation) {
                found.add(FoundField.isSure(
                        "wifi", "Wi-Fi " + line.at(i + 1).text(), line, line.words(Math.max(0, i - 2), i + 1)));
            }
        }
        if (line.says("802.11")) {
            int from = line.lower().indexOf("802.11");
            int end = from + 6;
            while (end < line.lower().length()
                    && "abgncxe/ ,.".indexOf(line.lower().charAt(end)) >= 0) {
                end++;
            }
            String words = line.text().substring(from, end).replaceFirst("[\\s,./]+$", "");
            found.add(FoundField.unsure("wifi", words, line, words, "Is that its newest generation?"));
        }
        Amounts.of(line, Amounts.MBPS).stream()
                .mapToDouble(Amount::high)
                .max()
                .ifPresent(most -> found.add(FoundField.isSure("wifiMbps", Amounts.tidy(most), line, line.text())));
    }

    private static void ethernet(Line line, List<FoundField> found) {
        double most = line.says("gigabit", "gbe", "1000") ? 1000 : 0;
        for (Amount rate : Amounts.of(line, Amounts.MBPS)) {
            most = Math.max(most, rate.high());
        }
        if (line.says("2.5g", "2.5 g", "2,5 g")) {
            most = 2500;
        } else if (line.says("10g", "10 g") && most < 10_000 && !line.says("10 gb of")) {
            most = 10_000;
        } else if (most == 0 && line.says("10/100", "fast ethernet")) {
            most = 100;
        }
        if (most > 0) {
            found.add(FoundField.isSure("ethernetMbps", Amounts.tidy(most), line, line.text()));
        }
    }

    private static void counts(Line line, List<FoundField> found) {
        for (int i = 0; i < line.tokens().size(); i++) {
            Token t = line.at(i);
            if (t.is("cat", "category") && !line.isOfWifi() && !line.says("cable", "ethernet", "rj45")) {
                int at = line.at(i + 1).isNumber() ? i + 1 : line.at(i + 2).isNumber() ? i + 2 : -1;
                if (at > 0) {
                    found.add(FoundField.isSure("category", "Cat " + line.at(at).text(), line, line.words(i, at)));
                }
            }
            boolean people = t.isNumber() && line.at(i + 1).is("devices", "users", "clients", "geräte");
            if (people && t.value() >= 1 && t.value() <= 1000) {
                found.add(FoundField.isSure("deviceLimit", t.value(), line, line.words(i, i + 1)));
            }
            boolean carriers = t.isNumber()
                    && (line.at(i + 1).is("ca")
                            || line.at(i + 1).isTimes() && line.at(i + 2).is("ca", "carrier"));
            if (carriers && t.value() <= 8) {
                found.add(FoundField.isSure("aggregates", t.value(), line, line.words(i, i + 1)));
            }
            if (t.is("dual") && line.at(i + 1).is("modem", "modems")) {
                found.add(FoundField.isSure("modems", 2.0, line, line.words(i, i + 1)));
            }
        }
        if (line.says("battery", "akku", "runtime")) {
            Amounts.of(line, Amounts.HOURS).stream()
                    .findFirst()
                    .ifPresent(a -> found.add(FoundField.isSure(
                            "batteryHours", Amounts.tidy(a.high()), line, line.words(a.from(), a.to()))));
        }
        if (line.says("locked to") || line.says("carrier lock")) {
            int from = line.lower().indexOf("locked to");
            if (from >= 0) {
                String rest = line.text().substring(from + "locked to".length()).strip();
                int end = rest.indexOf('.') < 0 ? rest.length() : rest.indexOf('.');
                found.add(FoundField.unsure(
                        "lockedTo", rest.substring(0, end), line, line.text(), "Is it locked to that carrier?"));
            }
        }
    }

    private static Set<String> features(Line line) {
        Set<String> features = new LinkedHashSet<>();
        if (line.says("no vpn", "without vpn")) {
            return features;
        }
        if (line.says("vpn", "wireguard", "ipsec")) {
            features.add(Feature.VPN.label());
        }
        if (line.says("passthrough", "pass-through", "pass through", "bridge mode")) {
            features.add(Feature.PASS_THROUGH.label());
        }
        if (line.says("load balanc", "load shar")) {
            features.add(Feature.LOAD_SHARING.label());
        }
        if (line.says("failover", "fail-over", "fail over")) {
            features.add(Feature.FAILOVER.label());
        }
        if (line.says(
                "wi-fi as wan", "wifi as wan", "wi-fi as source", "wifi wan", "wisp", "client mode", "repeater")) {
            features.add(Feature.WIFI_SOURCE.label());
        }
        if (line.says("remote management", "remote access", "cloud management")) {
            features.add(Feature.REMOTE_ACCESS.label());
        }
        return features;
    }
}
