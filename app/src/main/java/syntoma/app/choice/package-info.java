/** Gear to choose between, side by side on what matters for the need. */
package syntoma.app.choice;
