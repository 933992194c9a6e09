/** What a person edits has a version and a history: who saves over a change that they have not seen is told what it was. */
package syntoma.app.history;
