/** What plans allow and cost, what was used of them, what carriers' own counters said. */
package syntoma.app.ledger;
