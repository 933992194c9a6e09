/** What the connection is for, in which vehicle, and on which carriers with their bands by region. */
package syntoma.app.need;
