package app.hodegon.core;

/** How much is tried: enough to notice what breaks at once, or all of it ({@code ./hodegon test all}). */
public final class Effort {

    private Effort() {}

    /** A number of cases, by whether everything is to be tried. */
    public static int of(int usual, int all) {
        return Boolean.getBoolean("hodegon.all") ? all : usual;
    }
}
