package syntoma.core.need;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Values;

/**
 * What needs ask of one figure.
 *
 * @param need the name of the need, or of those that ask together, such as “Video calls and Large uploads”
 * @param limit in the unit of the figure
 */
public record Threshold(String need, Figure figure, double limit) {

    /** What needs ask together of a figure; empty where they do not ask anything of it. */
    public static Optional<Threshold> of(List<Need> needs, Figure figure) {
        List<Need> asking =
                needs.stream().filter(n -> limit(n, figure).isPresent()).toList();
        if (asking.isEmpty()) {
            return Optional.empty();
        }
        Requirement all = Requirement.of(needs);
        OptionalDouble limit =
                switch (figure) {
                    case DOWN_MBPS -> all.downMbps();
                    case UP_MBPS -> all.upMbps();
                    case LOSS_PCT -> all.lossPct();
                    default -> all.loadedMs();
                };
        return Optional.of(new Threshold(
                asking.stream().map(Need::name).collect(Collectors.joining(" and ")), figure, limit.orElseThrow()));
    }

    /** All that needs ask, figure by figure. */
    public static List<Threshold> all(List<Need> needs) {
        return Figure.numbers().stream()
                .flatMap(figure -> of(needs, figure).stream())
                .toList();
    }

    private static OptionalDouble limit(Need need, Figure figure) {
        return switch (figure) {
            case DOWN_MBPS -> need.downMbps();
            case UP_MBPS -> need.upMbps();
            case DOWN_LOADED_MS, UP_LOADED_MS -> need.loadedMs();
            case LOSS_PCT -> need.lossPct();
            default -> OptionalDouble.empty();
        };
    }

    /** Figures, those first that the needs ask something of; in their order otherwise. */
    public static List<Figure> askedFirst(List<Figure> figures, List<Need> needs) {
        return figures.stream()
                .sorted(Comparator.comparing(f -> of(needs, f).isEmpty()))
                .collect(Collectors.toList());
    }

    /** Whether a value is enough. */
    public boolean isMetBy(double value) {
        return figure.comparing().isHigherBetter() ? value >= limit : value <= limit;
    }

    /** The limit with its unit: 3 Mb/s, at most 250 ms. */
    public String text() {
        return (figure.comparing().isHigherBetter() ? "" : "at most ")
                + Values.format(Math.round(limit * 10) / 10.0) + " "
                + figure.measure().unit();
    }
}
