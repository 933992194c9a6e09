/**
 * Gear, setups and their revisions, carriers' bands and needs; and what the core says of them: fit, coverage, staircase,
 * power and the choice between candidates.
 */
package syntoma.app.rig;
