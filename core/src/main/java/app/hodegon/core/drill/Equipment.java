package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;
import java.util.Optional;

/** Kit a drill may ask for, with what a household has instead where there is such a thing. */
public enum Equipment implements Identified {
    BALL("ball", "Ball"),
    TEE("tee", "Tee"),
    ROD("rod", "Alignment rod", "a club laid down"),
    TWO_RODS("two-rods", "Two alignment rods", "two clubs laid down"),
    STICK("stick", "Stick across the chest", "a broomstick"),
    BELT_STICK("belt-stick", "Stick through the belt loops", null),
    HALF_BALLS("half-balls", "Two half tennis balls", "a tennis ball, cut in half"),
    SQUEAKER("squeaker", "Squeezable toy that sounds", null),
    DISC("disc", "Flying disc", "a plastic plate or a folded towel on a smooth floor"),
    ROCKER_BOARDS("rocker-boards", "Two small rocker boards", null),
    FOAM_ROLL("foam-roll", "Foam half-roll", "three balls side by side under a towel"),
    GLOVE("glove", "Glove"),
    CLICKER("clicker", "Tally clicker", "coins moved from pocket to pocket"),
    SPIKES("spikes", "Spiked shoes", null),
    MIRROR("mirror", "Mirror", "a dark window or your own shadow"),
    PHONE_CAMERA("phone-camera", "Phone camera", null),
    DRIVER("driver", "Driver"),
    SEVEN_IRON("seven-iron", "7-iron"),
    WEDGE("wedge", "Wedge"),
    BUCKET_BROOM("bucket-broom", "Upright stick", "a broom in a bucket"),
    FOAM_BALL("foam-ball", "Foam or plastic ball", null),
    STRIKE_MAT("strike-mat", "Strike mat", null),
    NET("net", "Net of one's own", null);

    private final String id;
    private final String label;
    private final String substitute;
    private final boolean usual;

    /** In every golfer's bag. */
    Equipment(String id, String label) {
        this(id, label, null, true);
    }

    Equipment(String id, String label, String substitute) {
        this(id, label, substitute, false);
    }

    Equipment(String id, String label, String substitute, boolean usual) {
        this.id = id;
        this.label = label;
        this.substitute = substitute;
        this.usual = usual;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** Whether every golfer has it: nobody is asked for it. */
    public boolean usual() {
        return usual;
    }

    /** Whether golf is played with it: it is no prop, and comes along to the course. A second ball is one. */
    public boolean played() {
        return switch (this) {
            case TEE, DRIVER, SEVEN_IRON, WEDGE -> true;
            default -> false;
        };
    }

    public Optional<String> substitute() {
        return Optional.ofNullable(substitute);
    }
}
