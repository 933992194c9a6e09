/**
 * Between the network and those who work on requests: bodies are taken in before a worker begins and answers given out after
 * it is done, without a thread, a lock or a transaction waiting for either. Bodies that are too large are refused here.
 */
package syntoma.app.gate;
