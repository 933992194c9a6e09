/**
 * What measures by itself: the speed server that runs use, and the runs. A run is made by the machine that Syntoma runs on; its
 * state is in the store, what it samples meanwhile is in memory, and the arithmetic is the core's.
 */
package syntoma.app.instrument;
