/**
 * Designing a trial for the time and the data there is: what has to be done by hand between two contenders, in which order they
 * are measured, how many rounds and how many runs at each visit, what it takes, and what it can and cannot answer.
 *
 * <p>Times in minutes, data in GB (10^9 byte), rates in Mb/s, differences as ratios. Assumes that a change-over takes what it
 * usually takes, and that noise is as {@link syntoma.core.design.Noise} has it.
 */
@NullMarked
package syntoma.core.design;

import org.jspecify.annotations.NullMarked;
