package syntoma.core.sheettext;

import java.util.List;
import java.util.Map;
import syntoma.core.chain.IpRating;
import syntoma.core.sheettext.Amounts.Amount;

/** Pattern, mounting and measures of an antenna, and of what it stands on. */
final class AntennaFigures {
    private static final Map<String, List<String>> MOUNTINGS = Map.of(
            "magnet", List.of("magnet"),
            "bolt",
                    List.of(
                            "bolt mount",
                            "bolt-mount",
                            "screw mount",
                            "through-hole",
                            "through hole",
                            "stud mount",
                            "panel mount"),
            "mast", List.of("mast mount", "pole mount", "mast-mount", "mast clamp", "pole clamp"),
            "window", List.of("window mount", "suction"),
            "adhesive", List.of("adhesive", "glue mount", "sticky"));

    private AntennaFigures() {}

    static void read(List<Line> lines, List<FoundField> found) {
        for (Line line : lines) {
            if (line.says("omni", "all around", "360°", "rundstrahl")) {
                found.add(FoundField.isSure("pattern", "all around", line, line.text()));
            } else if (line.says(
                    "directional", "yagi", "log-periodic", "log periodic", "panel antenna", "sector", "richt")) {
                found.add(FoundField.isSure("pattern", "one direction", line, line.text()));
            }
            if (line.says("beamwidth", "beam width", "hpbw", "opening angle") && !line.says("vertical")
                    || line.says("horizontal beam")) {
                first(line, Amounts.of(line, Amounts.DEGREES), "beamDeg", found);
            }
            MOUNTINGS.forEach((mounting, words) -> {
                if (words.stream().anyMatch(line.lower()::contains)) {
                    found.add(FoundField.isSure("mounting", mounting, line, line.text()));
                }
            });
            if (line.says("hole") && !line.says("through-hole mount", "no hole")) {
                first(line, Amounts.of(line, Amounts.MILLIMETRES), "holeMm", found);
            }
            if (line.says("height", "höhe") && !line.says("mast height", "x", "×")) {
                first(line, Amounts.of(line, Amounts.METRES), "heightM", found);
            }
            plane(line, found);
            IpRating.in(line.text())
                    .ifPresent(
                            rating -> found.add(FoundField.isSure("weatherRating", rating.code(), line, line.text())));
        }
    }

    private static void first(Line line, List<Amount> amounts, String field, List<FoundField> found) {
        amounts.stream()
                .findFirst()
                .ifPresent(a -> found.add(
                        FoundField.isSure(field, Amounts.tidy(a.high()), line, line.words(a.from(), a.to()))));
    }

    /** A ground plane of 20 × 20 cm, of 400 cm², or none. */
    private static void plane(Line line, List<FoundField> found) {
        if (!line.says("ground plane", "groundplane", "ground-plane")) {
            return;
        }
        if (line.says("no ground plane", "independent", "not required", "not needed", "without ground plane", "none")) {
            found.add(FoundField.isSure("groundPlaneCm2", 0.0, line, line.text()));
            return;
        }
        for (int i = 0; i < line.tokens().size(); i++) {
            Token t = line.at(i);
            boolean area =
                    t.isNumber() && line.at(i + 1).is("cm") && line.at(i + 2).is("²");
            if (area) {
                found.add(FoundField.isSure("groundPlaneCm2", t.value(), line, line.words(i, i + 2)));
                return;
            }
            boolean sides =
                    t.isNumber() && line.at(i + 1).isTimes() && line.at(i + 2).isNumber();
            if (sides) {
                double factor = line.at(i + 3).is("mm") ? 0.01 : line.at(i + 3).is("in", "inch", "\"") ? 6.4516 : 1;
                double cm2 = Amounts.tidy(t.value() * line.at(i + 2).value() * factor);
                boolean unit = line.at(i + 3).is("cm", "mm", "in", "inch", "\"");
                found.add(
                        unit
                                ? FoundField.isSure("groundPlaneCm2", cm2, line, line.words(i, i + 3))
                                : FoundField.unsure(
                                        "groundPlaneCm2", cm2, line, line.words(i, i + 2), "Is that in cm?"));
                return;
            }
        }
    }

    /** How far a mount or a mast raises. */
    static void mount(List<Line> lines, List<FoundField> found) {
        for (Line line : lines) {
            if (line.says("height", "length", "extends", "raises", "extended", "mast", "höhe")) {
                first(line, Amounts.of(line, Amounts.METRES), "heightM", found);
            }
        }
    }
}
