package syntoma.core.chain;

import syntoma.core.unit.Labels;

/** How a part can be fed. */
public enum Feed {
    DC("DC socket or terminal"),
    USB("USB 5 V"),
    USB_PD("USB PD"),
    POE_AF("PoE 802.3af"),
    POE_AT("PoE 802.3at"),
    POE_PASSIVE("passive PoE"),
    MAINS("mains adapter");

    private final String label;

    Feed(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /**
     * The one of a label.
     *
     * @throws IllegalArgumentException naming the text and the labels there are
     */
    public static Feed fromLabel(String text) {
        return Labels.find("supply", text, values(), Feed::label);
    }
}
