/** Trials and what they came to; and any two setups compared. */
package syntoma.app.trial;
