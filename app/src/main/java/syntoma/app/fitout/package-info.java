/** The build on a drawing: the roof with what stands on it, where an antenna goes, how its leads run, what a booster does there. */
package syntoma.app.fitout;
