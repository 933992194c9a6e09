/**
 * Setups: their names, their chains in revisions, and what the core says of a chain: fit, coverage, staircase, power. A
 * revision that something was measured with is never changed.
 */
package syntoma.app.setup;
