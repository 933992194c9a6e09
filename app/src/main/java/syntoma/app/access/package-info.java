/** Who may call: only this machine, and of its pages only Syntoma's own may change anything. */
package syntoma.app.access;
