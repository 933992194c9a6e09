/** What all rooms stand on: errors as problem documents, names, JSON as it is stored, the start and the interface's own files. */
package syntoma.app.platform;
