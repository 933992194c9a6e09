/**
 * Spreadsheets that people have kept by hand: which column is which figure, in which unit, and what each cell says.
 *
 * <p>Headings are known in several languages ({@code headings.csv}). What cannot be known from the table is asked: whether the
 * day or the month stands first, the time zone, what a column of signal levels measures. Nothing doubtful is settled
 * silently. What comes out are the texts of the catalogue's figures, to be judged like those of any other file. Every reader
 * goes over its text once.
 */
@NullMarked
package syntoma.core.tabletext;

import org.jspecify.annotations.NullMarked;
