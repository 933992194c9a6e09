/** What the small servers of the made-up world have in common. */
package syntoma.standin.port;
