/**
 * What to put up tonight: what each setup on each carrier may be expected to bring here, how sure that is, and in which order to
 * offer them.
 *
 * <p>All that was measured anywhere is one body of experience. A mixed linear model (Laird and Ware 1982; best linear unbiased
 * prediction, Henderson 1975) on the natural logarithm of speeds and latencies, and on dB for levels, weighs by precision what was
 * measured at this stay, at earlier stays here, elsewhere at a level like this one, and what data sheets promise. How much places,
 * stays and runs scatter is learned from the log; before there is one it is what is usual. Chances are those of one run.
 */
@NullMarked
package syntoma.core.advice;

import org.jspecify.annotations.NullMarked;
