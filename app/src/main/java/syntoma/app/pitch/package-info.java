/** Where the vehicle stands now: what was heard and measured there lately. */
package syntoma.app.pitch;
