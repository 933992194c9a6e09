/**
 * The log put right: campsites, setups and carriers renamed and merged, stays split and moved. Each shows beforehand what it
 * would move, is written into the journal, and can be undone to the last digit.
 */
package syntoma.app.mending;
