/** The log as files: in, with what is wrong with each row, and out again. */
package syntoma.app.exchange;
