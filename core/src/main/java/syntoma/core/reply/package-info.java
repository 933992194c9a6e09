/**
 * What a router answers, read into a reading: which value of the answer is which figure, proposed by name, unit and range and
 * corrected by a person, and what each value says.
 *
 * <p>Levels in dBm, ratios in dB, widths in MHz. Assumes an answer that is a tree of names and lists, as JSON is. A value that
 * no cell can report, and what stands for “none”, is missing, and is said.
 */
@NullMarked
package syntoma.core.reply;

import org.jspecify.annotations.NullMarked;
