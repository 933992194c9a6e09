/**
 * The log itself: what was measured, how a measurement is read from texts and told from another, and how many are taken in
 * at once.
 */
package syntoma.app.measurement;
