package app.hodegon.core.swing;

import java.util.List;

/** An identifier the catalogue does not hold; says what it would accept. */
public final class UnknownIdException extends IllegalArgumentException {

    private final transient List<String> accepted;

    public UnknownIdException(String kind, String id, List<String> accepted) {
        super("There is no " + kind + " called \"" + abbreviated(id) + "\". Accepted: " + String.join(", ", accepted)
                + ".");
        this.accepted = List.copyOf(accepted);
    }

    public List<String> accepted() {
        return accepted;
    }

    private static String abbreviated(String id) {
        return id == null ? "" : id.length() <= 60 ? id : id.substring(0, 60) + "…";
    }
}
