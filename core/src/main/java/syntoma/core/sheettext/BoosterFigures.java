package syntoma.core.sheettext;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Span;
import syntoma.core.sheettext.Amounts.Amount;

/** The passbands, the gain and the output of a booster. */
final class BoosterFigures {
    /** A smaller one is the flatness or the range of its control. */
    private static final double LEAST_GAIN_DB = 20;

    private BoosterFigures() {}

    static void read(List<Line> lines, List<FoundField> found) {
        passbands(lines, found);
        for (Line line : lines) {
            if (line.says("gain", "verstärkung")) {
                Amounts.of(line, Amounts.DB).stream()
                        .filter(a -> a.high() >= LEAST_GAIN_DB)
                        .forEach(a -> add(line, a, "gainDb", found));
            }
            if (line.says("output", "ausgang")) {
                Amounts.of(line, Amounts.DBM).stream()
                        .filter(a -> !isOfUplink(line, a))
                        .findFirst()
                        .ifPresent(a -> add(line, a, "ratedOutputDbm", found));
            }
            if (line.says("tdd")) {
                boolean denied = line.says("no tdd", "not tdd", "without tdd", "fdd only");
                found.add(FoundField.isSure("tdd", !denied, line, line.text()));
            } else if (line.says("fdd only")) {
                found.add(FoundField.isSure("tdd", false, line, line.text()));
            }
            connector(line, found);
        }
    }

    private static void add(Line line, Amount a, String field, List<FoundField> found) {
        found.add(FoundField.isSure(field, Amounts.tidy(a.high()), line, line.words(a.from(), a.to())));
    }

    /** Whether an amount is said of the way to the mast: by the direction before it, else by the only one that its line names. */
    private static boolean isOfUplink(Line line, Amount a) {
        for (int i = a.from(); i >= 0; i--) {
            if (line.at(i).is("uplink", "ul")) {
                return true;
            }
            if (line.at(i).is("downlink", "dl")) {
                return false;
            }
        }
        return (line.says("uplink") || line.has("ul")) && !line.says("downlink") && !line.has("dl");
    }

    private static void passbands(List<Line> lines, List<FoundField> found) {
        List<Map<String, Object>> up = new ArrayList<>();
        List<Map<String, Object>> down = new ArrayList<>();
        Line ofUp = null;
        Line ofDown = null;
        for (Line line : lines) {
            boolean says = line.says("uplink", "downlink") || line.has("ul", "dl");
            if (!says) {
                continue;
            }
            boolean isUp = line.says("uplink") || line.has("ul");
            for (Amount span : GainRanges.spans(line)) {
                boolean upHere = isUp;
                for (int i = span.from(); i >= 0; i--) {
                    if (line.at(i).is("uplink", "ul")) {
                        upHere = true;
                        break;
                    }
                    if (line.at(i).is("downlink", "dl")) {
                        upHere = false;
                        break;
                    }
                }
                Map<String, Object> row = new LinkedHashMap<>();
                row.put("fromMhz", Amounts.tidy(span.low()));
                row.put("toMhz", Amounts.tidy(span.high()));
                (upHere ? up : down).add(row);
                ofUp = upHere && ofUp == null ? line : ofUp;
                ofDown = !upHere && ofDown == null ? line : ofDown;
            }
        }
        if (ofUp == null && ofDown == null) {
            ofBands(lines, found);
        }
        if (ofUp != null) {
            found.add(FoundField.isSure("uplink", up, ofUp, ofUp.text()));
        }
        if (ofDown != null) {
            found.add(FoundField.isSure("downlink", down, ofDown, ofDown.text()));
        }
    }

    /** Passbands that are said as bands: the whole of each, which is asked. */
    private static void ofBands(List<Line> lines, List<FoundField> found) {
        List<FoundField> listed = new ArrayList<>();
        BandLists.read(
                lines.stream()
                        .filter(line -> line.says("bands", "bänder", "bandes", "bandas") && !line.has("db"))
                        .toList(),
                listed);
        listed.stream().limit(1).forEach(list -> {
            List<Band> bands = ((List<?>) list.value())
                    .stream().map(name -> Bands.of(name.toString())).toList();
            String asked = "It names bands. Does it boost the whole of each?";
            List<Span> up =
                    bands.stream().flatMap(band -> band.uplink().stream()).toList();
            List<Span> down = bands.stream().map(Band::downlink).toList();
            if (!up.isEmpty()) {
                found.add(new FoundField("uplink", rows(up), list.words(), list.line(), asked, List.of()));
            }
            found.add(new FoundField("downlink", rows(down), list.words(), list.line(), asked, List.of()));
        });
    }

    private static List<Map<String, Object>> rows(List<Span> spans) {
        List<Map<String, Object>> rows = new ArrayList<>();
        for (Span span : spans) {
            Map<String, Object> row = new LinkedHashMap<>();
            row.put("fromMhz", span.loMhz());
            row.put("toMhz", span.hiMhz());
            rows.add(row);
        }
        return rows;
    }

    private static void connector(Line line, List<FoundField> found) {
        List<FoundField> only = new ArrayList<>();
        Sockets.ports(List.of(line), only);
        boolean outside = line.says("outdoor", "outside", "donor");
        boolean inside = line.says("indoor", "inside", "server antenna");
        boolean sides = outside != inside;
        if (!sides && (outside || !line.says("connector", "anschl", "connecteur", "conector"))) {
            return;
        }
        only.stream().filter(f -> f.field().equals("ports")).findFirst().ifPresent(f -> {
            String value =
                    ((Map<?, ?>) ((List<?>) f.value()).get(0)).get("connector").toString();
            if (!sides) {
                for (String field : List.of("donor", "indoor")) {
                    found.add(FoundField.unsure(field, value, line, f.words(), "Is it the same on both sides?"));
                }
                return;
            }
            String field = outside ? "donor" : "indoor";
            boolean said = line.says("female", "male", "jack", "plug", "socket");
            found.add(
                    said
                            ? FoundField.isSure(field, value, line, f.words())
                            : FoundField.unsure(field, value, line, f.words(), "Which half is it, male or female?"));
        });
    }
}
