package syntoma.core.need;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import syntoma.core.unit.Values;

/**
 * What several needs ask for together. Within a part of the day rates add up, because they are met at the same time; over
 * the parts the largest counts. Needs of any time join every part. Latency and loss: the strictest.
 *
 * @param gbAMonth of all needs
 */
public record Requirement(
        OptionalDouble downMbps,
        OptionalDouble upMbps,
        OptionalDouble loadedMs,
        OptionalDouble lossPct,
        double gbAMonth,
        List<PerPart> parts) {

    /** What one part of the day asks for. */
    public record PerPart(
            PartOfDay part,
            OptionalDouble downMbps,
            OptionalDouble upMbps,
            OptionalDouble loadedMs,
            OptionalDouble lossPct,
            List<String> needs) {}

    /** What the needs ask for together. */
    public static Requirement of(List<Need> needs) {
        Set<PartOfDay> used = EnumSet.noneOf(PartOfDay.class);
        needs.forEach(n -> used.add(n.hours()));
        if (used.size() > 1) {
            used.remove(PartOfDay.ANY_TIME);
        }
        List<PerPart> parts = used.stream().map(part -> part(part, needs)).toList();
        return new Requirement(
                highest(parts.stream().map(PerPart::downMbps)),
                highest(parts.stream().map(PerPart::upMbps)),
                least(needs.stream().map(Need::loadedMs)),
                least(needs.stream().map(Need::lossPct)),
                needs.stream().mapToDouble(Need::gbAMonth).sum(),
                parts);
    }

    /** What chosen needs ask for, in a sentence. */
    public static String sentence(List<Need> chosen) {
        if (chosen.isEmpty()) {
            return "Say what the connection is for, and gear can be judged by it.";
        }
        Requirement r = of(chosen);
        List<String> parts = new ArrayList<>();
        r.downMbps.ifPresent(v -> parts.add(amount(v) + " Mb/s down"));
        r.upMbps.ifPresent(v -> parts.add(amount(v) + " Mb/s up"));
        r.loadedMs.ifPresent(v -> parts.add("at most " + Values.format(v) + " ms under load"));
        return chosen.stream().map(Need::name).collect(Collectors.joining(" and ")) + ": " + String.join(", ", parts)
                + ", about " + Values.round(r.gbAMonth, 0) + " GB a month.";
    }

    /** How long an upload takes at the rate that is asked for; empty where none is. */
    public Optional<String> uploadTime(double gb) {
        if (upMbps.isEmpty()) {
            return Optional.empty();
        }
        double rate = upMbps.getAsDouble();
        long minutes = Math.round(Transfer.time(gb, rate).toSeconds() / 60.0);
        return Optional.of(Values.format(gb) + " GB at " + amount(rate) + " Mb/s takes " + minutes / 60 + " h "
                + minutes % 60 + " min");
    }

    private static String amount(double mbps) {
        return Values.format(Math.round(mbps * 10) / 10.0);
    }

    private static PerPart part(PartOfDay part, List<Need> needs) {
        List<Need> here = needs.stream()
                .filter(n -> n.hours() == part || n.hours() == PartOfDay.ANY_TIME)
                .toList();
        return new PerPart(
                part,
                sum(here, Need::downMbps),
                sum(here, Need::upMbps),
                least(here.stream().map(Need::loadedMs)),
                least(here.stream().map(Need::lossPct)),
                here.stream().map(Need::name).toList());
    }

    private static OptionalDouble sum(List<Need> needs, Function<Need, OptionalDouble> figure) {
        double[] given = needs.stream()
                .map(figure)
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .toArray();
        return given.length == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(java.util.Arrays.stream(given).sum());
    }

    private static OptionalDouble highest(Stream<OptionalDouble> figures) {
        return figures.filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .max();
    }

    private static OptionalDouble least(Stream<OptionalDouble> figures) {
        return figures.filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .min();
    }
}
