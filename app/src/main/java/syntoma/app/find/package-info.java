/** One search over everything that is in the log: campsites, setups, carriers, trials, days, notes, bands and cells. */
package syntoma.app.find;
