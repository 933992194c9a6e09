/** What the rules know that never changes while Syntoma runs: bands, channels, the figures of a measurement. */
package syntoma.app.reference;
