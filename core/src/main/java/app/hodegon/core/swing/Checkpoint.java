package app.hodegon.core.swing;

/** The moments of a swing at which the feet are read, in order. */
public enum Checkpoint implements Identified {
    ADDRESS("address", "Address", "Address"),
    TRIGGER("trigger", "Trigger", "Trigger"),
    HIP_BACK("hip-back", "Hands at hip, going back", "Hip back"),
    ARM_BACK("arm-back", "{Lead} arm level, going back", "Arm back"),
    TOP("top", "Top", "Top"),
    ARM_DOWN("arm-down", "{Lead} arm level, coming down", "Arm down"),
    IMPACT("impact", "Impact", "Impact"),
    FINISH("finish", "Finish", "Finish");

    private final String id;
    private final String label;
    private final String brief;

    Checkpoint(String id, String label, String brief) {
        this.id = id;
        this.label = label;
        this.brief = brief;
    }

    @Override
    public String id() {
        return id;
    }

    /** The name in full, in lead/trail placeholders. */
    public String label() {
        return label;
    }

    /** The name where there is little room. */
    public String brief() {
        return brief;
    }
}
