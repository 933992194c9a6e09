/**
 * What can hurt somebody or something, said at the step where it matters (docs/methods.md#17-job-sheet). Every room takes its cautions from
 * here, so that the same danger has the same words everywhere. Local rules and licensed practice go before all of it. No units;
 * nothing is refused.
 */
@NullMarked
package syntoma.core.caution;

import org.jspecify.annotations.NullMarked;
