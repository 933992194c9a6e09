/** The practice pitch: trials in the made-up world with a hidden truth, and a score over them. */
package syntoma.app.state;
