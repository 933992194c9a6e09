/**
 * Pasted data sheets: the text of a shop page or a leaflet read into the fields of a piece of gear, each with the words that
 * it came from.
 *
 * <p>Nothing is guessed: what could mean two things is found as unsure, with what else it could mean, for a person to answer;
 * what is not said is not found. Every reader goes over the text once, from left to right, so that it takes time in
 * proportion to its length. Refuses texts above {@value syntoma.core.sheettext.SheetText#LONGEST} characters.
 */
@NullMarked
package syntoma.core.sheettext;

import org.jspecify.annotations.NullMarked;
