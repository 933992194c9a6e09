/** What can go wrong with the made-up router and the made-up speed server, on demand. */
package syntoma.standin.fault;
