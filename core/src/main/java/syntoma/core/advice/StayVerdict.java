package syntoma.core.advice;

import java.util.Set;

/**
 * What a comparison made at this stay decided: it goes before what a model predicts, so that advice and verdict say one thing.
 *
 * @param use the setup to use, called “setup on carrier” where carriers were compared
 * @param instead of this one
 * @param carriers on which both were measured
 */
public record StayVerdict(String use, String instead, Set<String> carriers) {
    boolean isFor(Option option) {
        return isOf(use, option);
    }

    boolean isAgainst(Option option) {
        return isOf(instead, option);
    }

    private boolean isOf(String name, Option option) {
        return name.equals(option.setup() + " on " + option.carrier())
                || (name.equals(option.setup()) && carriers.contains(option.carrier()));
    }

    /** Whether it decides between two options: of two carriers only where carriers were compared. */
    boolean decides(Option better, Option worse) {
        return isFor(better)
                && isAgainst(worse)
                && (better.carrier().equals(worse.carrier()) || !use.equals(better.setup()));
    }
}
