package syntoma.core.finding;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a unit had more than the others over time, stay by stay: its value less what the others in the same block, each less its own
 * effect, say of the block. Of levels from which the prediction was subtracted it is measured − predicted.
 *
 * @param points in the order of time
 * @param change where something changed; empty where nothing tells so
 */
public record Drift(String unit, List<Point> points, Optional<ChangePoint> change) {
    /**
     * One stay.
     *
     * @param atNanos when its first block with the unit began
     * @param value on the scale of the computation
     */
    public record Point(long stay, long atNanos, double value, int blocks) {}

    public Drift {
        points = List.copyOf(points);
    }

    /** The drift of each unit that is linked to the baseline, by a joint model of a trip. */
    public static List<Drift> of(Trip trip, Criterion criterion, List<String> names, int baseline) {
        JointModel model = new JointModel(Cells.of(trip, criterion), names.size(), baseline);
        List<Drift> drifts = new ArrayList<>();
        for (int unit = 0; unit < names.size(); unit++) {
            if (model.isLinked(unit) && model.blocksOf(unit) > 0) {
                List<Point> points = points(model, unit);
                drifts.add(new Drift(
                        names.get(unit),
                        points,
                        ChangePoint.of(points.stream().mapToDouble(Point::value).toArray())));
            }
        }
        return drifts;
    }

    private static List<Point> points(JointModel model, int unit) {
        Cells cells = model.cells();
        Map<Long, double[]> sums = new LinkedHashMap<>();
        Map<Long, Long> begun = new LinkedHashMap<>();
        for (int b = 0; b < cells.blocks(); b++) {
            int own = cells.find(b, unit);
            if (own < 0) {
                continue;
            }
            double others = 0;
            for (int c = cells.start(b); c < cells.end(b); c++) {
                others += c == own ? 0 : cells.value(c) - model.effect(cells.unit(c));
            }
            double more = cells.value(own) - others / (cells.end(b) - cells.start(b) - 1);
            double[] sum = sums.computeIfAbsent(cells.stay(b), s -> new double[2]);
            sum[0] += more;
            sum[1]++;
            begun.merge(cells.stay(b), cells.atNanos(b), Math::min);
        }
        List<Point> points = new ArrayList<>();
        sums.forEach((stay, sum) -> points.add(new Point(stay, begun.get(stay), sum[0] / sum[1], (int) sum[1])));
        points.sort(Comparator.comparingLong(Point::atNanos));
        return points;
    }
}
