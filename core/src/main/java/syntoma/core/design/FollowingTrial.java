package syntoma.core.design;

import java.util.List;
import java.util.Optional;

/**
 * A trial that follows on one, filled in from its results.
 *
 * @param says why it is worth making, in a sentence or two
 * @param label of the button that plans it
 * @param choices the baseline first
 */
public record FollowingTrial(String says, String label, List<Template.Choice> choices) {
    public FollowingTrial {
        choices = List.copyOf(choices);
    }

    /**
     * A setup that was in the trial.
     *
     * @param name under which it was measured
     * @param variation what was changed about it
     */
    public record TriedSetup(String name, String carrier, Optional<Variation> variation) {
        /** Whether results call it so: on several carriers they add the carrier. */
        boolean isCalled(String result) {
            return result.equals(name) || result.equals(name + " on " + carrier);
        }

        /** The same choice once more: the setup that was changed, and the change. */
        Template.Choice toChoice() {
            String base = variation
                    .map(v -> ", " + v.phrase())
                    .filter(name::endsWith)
                    .map(change -> name.substring(0, name.length() - change.length()))
                    .orElse(name);
            return new Template.Choice(base, carrier, base.equals(name) ? Optional.empty() : variation);
        }
    }
}
