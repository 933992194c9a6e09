package syntoma.core.finding;

import java.util.ArrayList;
import java.util.List;
import syntoma.core.finding.Finding.Remark;
import syntoma.core.unit.Text;
import syntoma.core.verdict.Amount;

/**
 * Where plain averages rank otherwise than the comparison at the same places and times, and why.
 *
 * <p>How good a place was is what the model says of its block: the mean of its values less the effects of the units. A unit was
 * mostly used at strong places when that, over its runs, lies more than half of a difference that matters above what it is over the
 * runs of the others.
 */
final class Remarks {
    private static final String[] PLACES = {
        "first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth"
    };

    private final Criterion criterion;
    private final List<String> names;
    private final JointModel model;
    private final int[] plain;
    private final int[] adjusted;
    private final double[] ownPlaces;
    private final double[] otherPlaces;

    Remarks(Criterion criterion, List<String> names, Cells cells, JointModel model, PlainMeans plainMeans) {
        this.criterion = criterion;
        this.names = names;
        this.model = model;
        adjusted =
                Ranks.of(names.size(), model::isLinked, (a, b) -> criterion.isBetter(model.effect(a), model.effect(b)));
        plain = Ranks.of(
                names.size(),
                unit -> model.isLinked(unit) && plainMeans.runs(unit) > 0,
                (a, b) -> criterion.isBetter(plainMeans.mean(a), plainMeans.mean(b)));
        ownPlaces = new double[names.size()];
        otherPlaces = new double[names.size()];
        places(cells);
    }

    private void places(Cells cells) {
        double[] own = new double[names.size()];
        double[] counts = new double[names.size()];
        double sum = 0;
        double count = 0;
        for (int b = 0; b < cells.blocks(); b++) {
            double place = 0;
            int linked = 0;
            for (int c = cells.start(b); c < cells.end(b); c++) {
                if (model.isLinked(cells.unit(c))) {
                    place += cells.value(c) - model.effect(cells.unit(c));
                    linked++;
                }
            }
            for (int c = cells.start(b); linked > 0 && c < cells.end(b); c++) {
                own[cells.unit(c)] += cells.runs(c) * place / linked;
                counts[cells.unit(c)] += cells.runs(c);
                sum += cells.runs(c) * place / linked;
                count += cells.runs(c);
            }
        }
        for (int unit = 0; unit < names.size(); unit++) {
            ownPlaces[unit] = own[unit] / counts[unit];
            otherPlaces[unit] = (sum - own[unit]) / (count - counts[unit]);
        }
    }

    List<Remark> all() {
        List<Remark> remarks = new ArrayList<>();
        int first = firstOf(plain);
        int best = firstOf(adjusted);
        if (first >= 0 && best >= 0 && adjusted[first] > 1 && plain[best] > 1) {
            remarks.add(new Remark(
                    "averages-mislead",
                    "Plain averages mislead here: they put " + names.get(first)
                            + " first, but at the same places and times " + names.get(best) + " is ahead. "
                            + Text.capital(why(first)) + ".",
                    List.of(names.get(first), names.get(best))));
        }
        for (int unit = 0; unit < names.size(); unit++) {
            if (adjusted[unit] > 0 && plain[unit] > 0 && plain[unit] != adjusted[unit]) {
                remarks.add(new Remark(
                        "rank-differs",
                        names.get(unit) + " is " + place(plain[unit]) + " by plain averages and "
                                + place(adjusted[unit]) + " at the same places and times: " + why(unit) + ".",
                        List.of(names.get(unit))));
            }
        }
        return remarks;
    }

    private static int firstOf(int[] ranks) {
        for (int unit = 0; unit < ranks.length; unit++) {
            if (ranks[unit] == 1) {
                return unit;
            }
        }
        return -1;
    }

    private static String place(int rank) {
        return rank <= PLACES.length ? PLACES[rank - 1] : "number " + rank;
    }

    private String why(int unit) {
        double better = ownPlaces[unit] - otherPlaces[unit];
        double gained = criterion.isHigherBetter() ? better : -better;
        double least = criterion.scale().margin() / 2;
        if (gained > least) {
            return names.get(unit) + " was mostly used at strong sites";
        }
        if (gained < -least) {
            return names.get(unit) + " was mostly used at weak sites";
        }
        return plain[unit] < adjusted[unit]
                ? "others beside it were mostly used at weak sites"
                : Amount.possessive(names.get(unit))
                        + " average depends on a few runs, or on where the others were used";
    }
}
