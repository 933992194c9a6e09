/** The demo data of the made-up world, loaded through the services that a user's own go through. */
package syntoma.app.demo;
