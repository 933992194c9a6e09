/**
 * What a person edits has a version and a history: who saves over a change that they have not seen is told what it was. What
 * was changed of the log stands in a journal, from which each change can be undone by the room that made it.
 */
package syntoma.app.history;
