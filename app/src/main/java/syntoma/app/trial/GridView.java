package syntoma.app.trial;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.core.unit.Text;
import syntoma.core.verdict.FactorialComparison;

/**
 * What each of two factors does, and whether that depends on the other.
 *
 * @param across what the columns are levels of
 * @param down what the rows are levels of
 * @param setups of each row, by the columns
 */
record GridView(
        String across,
        List<String> columns,
        String down,
        List<String> rows,
        List<List<String>> setups,
        List<Figure> figures) {

    /**
     * One figure.
     *
     * @param key its name in the API
     * @param rounds in which all cells were measured
     * @param main over all levels of the other factor
     * @param within at each level of the other factor
     * @param scale ratio, dB or share
     * @param margin marginal differences on that scale are none that matters
     */
    @Schema(name = "GridFigure")
    record Figure(
            String key,
            String label,
            int rounds,
            boolean depends,
            double level,
            String scale,
            double margin,
            String sentence,
            List<LevelView> main,
            List<LevelView> within) {
        static Figure of(FactorialComparison.FigureEffects said) {
            return new Figure(
                    said.metric().comparing().key(),
                    Text.capital(said.metric().measure().phrase()),
                    said.rounds(),
                    said.isInteraction(),
                    said.level(),
                    said.metric().scale().key(),
                    said.metric().scale().off(said.metric().scale().margin()),
                    said.sentence(),
                    said.main().stream().map(Figure::level).toList(),
                    said.effectsWithin().stream().map(Figure::level).toList());
        }

        private static LevelView level(FactorialComparison.LevelEffect e) {
            return new LevelView(
                    e.factor(),
                    e.level(),
                    e.against(),
                    e.otherLevel().orElse(null),
                    e.estimate(),
                    e.low(),
                    e.high(),
                    e.verdict().key());
        }
    }

    /** What a level does against another; {@code where} is null where that is over all levels of the other factor. */
    record LevelView(
            String factor,
            String level,
            String against,
            @Nullable String where,
            double estimate,
            double low,
            double high,
            String verdict) {}
}
