package app.hodegon.core.motion;

import app.hodegon.core.swing.Identified;

/** What the samples of a trace are given in. Shares do not depend on it. */
public enum LoadUnit implements Identified {
    PERCENT("percent", "%"),
    NEWTON("newton", "N"),
    KILOGRAM("kilogram", "kg"),
    POUND("pound", "lb");

    private final String id;
    private final String sign;

    LoadUnit(String id, String sign) {
        this.id = id;
        this.sign = sign;
    }

    @Override
    public String id() {
        return id;
    }

    public String sign() {
        return sign;
    }
}
