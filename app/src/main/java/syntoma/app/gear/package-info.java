/**
 * The shelf: everything bought or thought of, each kind with the form of its data sheet, and the parts that the core
 * computes with.
 */
package syntoma.app.gear;
