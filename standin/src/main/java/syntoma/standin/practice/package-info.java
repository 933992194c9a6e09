/**
 * Trials in the made-up world by simulated hands: time is told, so that an afternoon is over in a moment, and the truth is known.
 * What a figure of them says can be compared with what is so; for the practice pitch, and to see how often verdicts are right.
 */
package syntoma.standin.practice;
