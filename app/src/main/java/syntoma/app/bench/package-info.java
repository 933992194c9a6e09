/** The calculators, each usable alone. */
package syntoma.app.bench;
