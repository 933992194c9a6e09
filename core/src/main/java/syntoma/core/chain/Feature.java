package syntoma.core.chain;

import syntoma.core.unit.Labels;

/** What a device can do beside carrying data. */
public enum Feature {
    VPN("VPN client"),
    PASS_THROUGH("pass-through"),
    LOAD_SHARING("load sharing"),
    FAILOVER("failover"),
    WIFI_SOURCE("Wi-Fi as source"),
    REMOTE_ACCESS("remote access");

    private final String label;

    Feature(String label) {
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
    public static Feature fromLabel(String text) {
        return Labels.find("feature", text, values(), Feature::label);
    }
}
