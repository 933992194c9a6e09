/**
 * The air of the made-up world: masts, channels and cells, setups as they came out, how a device picks among what it hears, and
 * what a run then brings.
 */
package syntoma.standin.air;
