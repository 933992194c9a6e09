/**
 * Whether one setup is better than another, how sure that is, and how to say it.
 *
 * <p>Ratios on the natural logarithm, levels in dB, shares in percentage points. Assumes that effects within rounds scatter
 * about normally on their scale. Under three rounds no interval is given; rounds that stand out are shown and never dropped.
 */
@NullMarked
package syntoma.core.verdict;

import org.jspecify.annotations.NullMarked;
