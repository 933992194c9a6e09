/**
 * Calculators for the bench: each is a rule of another room with its fields, its result in a sentence, the formula with its source,
 * and where it stops being true. Nothing here is a rule of its own but the diffraction over an obstacle.
 */
@NullMarked
package syntoma.core.calculator;

import org.jspecify.annotations.NullMarked;
