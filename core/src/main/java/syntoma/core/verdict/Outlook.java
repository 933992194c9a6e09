package syntoma.core.verdict;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What to measure next where two setups cannot be told apart yet.
 *
 * @param roundsLeft rounds left of the plan, 0 when none are or nothing was planned
 * @param chance that those settle it; empty without any
 * @param newTrial rounds of a new trial with an 80 % chance to settle it one way or the other; empty above 20
 * @param evenTrial rounds of a new trial with an even chance to; empty above 20
 */
public record Outlook(int roundsLeft, OptionalDouble chance, OptionalInt newTrial, OptionalInt evenTrial) {}
