/** Walks with an antenna in hand: levels marked where they were heard, and which place is really better. */
package syntoma.app.walk;
