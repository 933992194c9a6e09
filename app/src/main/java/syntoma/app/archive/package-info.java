/** Everything as one zip of open files, and back. */
package syntoma.app.archive;
