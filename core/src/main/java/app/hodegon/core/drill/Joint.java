package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/** What a student may have flagged as needing care. */
public enum Joint implements Identified {
    ANKLE("ankle", "Ankle"),
    KNEE("knee", "Knee"),
    HIP("hip", "Hip"),
    BACK("back", "Lower back"),
    BALANCE("balance", "Balance");

    private final String id;
    private final String label;

    Joint(String id, String label) {
        this.id = id;
        this.label = label;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }
}
