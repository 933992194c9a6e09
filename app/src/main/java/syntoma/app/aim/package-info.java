/** Aiming: bearings to masts, sweeps over headings, masts found by crossing them. */
package syntoma.app.aim;
