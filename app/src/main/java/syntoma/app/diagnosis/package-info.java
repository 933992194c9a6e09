/** Why it is slow here, and what a cell's day is like. */
package syntoma.app.diagnosis;
