/**
 * Places to stand and the visits to them, stated or following from when something was measured where; and where the vehicle
 * stands now.
 */
package syntoma.app.campsite;
