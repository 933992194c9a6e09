/**
 * What a person pastes: a router's page, a terminal's answer, a line of a speed test, several of them at once, in many layouts and
 * languages. What is read says where it stood; what is doubtful is said and left out.
 *
 * <p>dBm, dB, MHz, Mb/s, ms. Lines are counted from 1.
 */
@NullMarked
package syntoma.core.statustext;

import org.jspecify.annotations.NullMarked;
