/** The made-up router: its status page over the air of the made-up world, on a real socket. */
package syntoma.standin.router;
