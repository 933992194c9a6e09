/** What the whole trip says: setups, carriers and bands over many stays, over time, what they cost; and the report of it. */
package syntoma.app.findings;
