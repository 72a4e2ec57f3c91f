package app.hodegon.core.swing;

/** The moments of a swing at which the feet are read, in order. */
public enum Checkpoint implements Identified {
    ADDRESS("address", "Address"),
    TRIGGER("trigger", "Trigger"),
    HIP_BACK("hip-back", "Hands at hip, going back"),
    ARM_BACK("arm-back", "Lead arm level, going back"),
    TOP("top", "Top"),
    ARM_DOWN("arm-down", "Lead arm level, coming down"),
    IMPACT("impact", "Impact"),
    FINISH("finish", "Finish");

    private final String id;
    private final String label;

    Checkpoint(String id, String label) {
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
