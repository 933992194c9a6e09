package syntoma.core.design;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import syntoma.core.state.ExtraStep;
import syntoma.core.unit.Values;

/**
 * Contenders of which each level of one factor stands with each level of another: what each factor does is told from all of them,
 * and whether it depends on the other.
 *
 * @param rows levels of the first factor, the baseline's first
 * @param columns levels of the second, the baseline's first
 * @param cells the contender of each row and column, by its place
 */
public record Grid(Factor across, List<String> columns, Factor down, List<String> rows, int[][] cells) {

    /** What contenders can differ in. */
    public enum Factor {
        CARRIER("the carrier", Contender::carrier),
        DEVICE("the device", Contender::device),
        ANTENNAS("the antennas", Grid::antennas),
        BOOSTER("the booster", c -> c.booster().map(b -> b + " on").orElse("no booster")),
        BANDS("the bands", Contender::bands),
        ARRANGED(
                "how it is arranged",
                c -> c.arrangement().arranged().map(ExtraStep::phrase).orElse("as it is"));

        private final String says;
        private final Function<Contender, String> level;

        Factor(String says, Function<Contender, String> level) {
            this.says = says;
            this.level = level;
        }

        public String says() {
            return says;
        }

        String of(Contender contender) {
            return level.apply(contender);
        }
    }

    private static String antennas(Contender contender) {
        if (contender.antennas().isEmpty()) {
            return "own antennas";
        }
        List<String> names = new ArrayList<>();
        contender
                .antennas()
                .forEach((name, spot) ->
                        names.add(spot.isRaised() ? name + " at " + Values.format(spot.raisedM()) + " m" : name));
        return String.join(" and ", names);
    }

    /** The grid that contenders make: two factors differ, and nothing else does; empty where they make none. */
    public static Optional<Grid> of(List<Contender> contenders) {
        List<Factor> differ = Arrays.stream(Factor.values())
                .filter(factor -> contenders.stream().map(factor::of).distinct().count() > 1)
                .toList();
        if (differ.size() != 2) {
            return Optional.empty();
        }
        Factor down = differ.get(1);
        Factor across = differ.get(0);
        List<String> rows = levels(contenders, down);
        List<String> columns = levels(contenders, across);
        if (rows.size() * columns.size() != contenders.size()) {
            return Optional.empty();
        }
        int[][] cells = new int[rows.size()][columns.size()];
        Arrays.stream(cells).forEach(row -> Arrays.fill(row, -1));
        for (int i = 0; i < contenders.size(); i++) {
            cells[rows.indexOf(down.of(contenders.get(i)))][columns.indexOf(across.of(contenders.get(i)))] = i;
        }
        boolean whole = Arrays.stream(cells).flatMapToInt(Arrays::stream).allMatch(i -> i >= 0);
        return whole ? Optional.of(new Grid(across, columns, down, rows, cells)) : Optional.empty();
    }

    private static List<String> levels(List<Contender> contenders, Factor factor) {
        return contenders.stream().map(factor::of).distinct().toList();
    }
}
