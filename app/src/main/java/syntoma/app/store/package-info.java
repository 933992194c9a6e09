/**
 * The store on disk: how it is opened, forced, looked through at a start, brought to a new layout and mended. What is
 * acknowledged to a user was forced to disk before; who changes anything holds the pen, so that changes come one after
 * the other.
 */
package syntoma.app.store;
