package syntoma.core.calculator;

import java.util.List;
import syntoma.core.unit.Text;

/** The calculators, in the order of the work. */
public final class Calculators {
    private static final List<Calculator> ALL = List.of(
            new ChannelFinder(),
            new CableLoss(),
            new QuickStaircase(),
            new BoosterIsolation(),
            new MastBearing(),
            new OverTheHill(),
            new WireAndFuse(),
            new UploadTime(),
            new Units(),
            new RoundsToMake());

    private Calculators() {}

    public static List<Calculator> all() {
        return ALL;
    }

    /**
     * The one of a name.
     *
     * @throws IllegalArgumentException naming what there is
     */
    public static Calculator of(String key) {
        return ALL.stream()
                .filter(c -> c.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no calculator is named " + Text.quote(key)
                        + "; allowed is "
                        + String.join(", ", ALL.stream().map(Calculator::key).toList())));
    }
}
