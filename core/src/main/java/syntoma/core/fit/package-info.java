/**
 * Whether a chain can be built and works: one rule, one class, each with the cheapest remedy.
 *
 * <p>A rule looks at a {@link syntoma.core.fit.FitCase} and says what it found in words with values and units. It stays silent
 * about what a sheet does not state, except for the one rule that says which statements are missing.
 */
@NullMarked
package syntoma.core.fit;

import org.jspecify.annotations.NullMarked;
