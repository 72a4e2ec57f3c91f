package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;
import java.util.Optional;

/** Kit a drill may ask for, with what a household has instead where there is such a thing. */
public enum Equipment implements Identified {
    BALL("ball", "Ball", null),
    TEE("tee", "Tee", "a bottle cap"),
    ROD("rod", "Alignment rod", "a club laid down"),
    TWO_RODS("two-rods", "Two alignment rods", "two clubs laid down"),
    STICK("stick", "Stick across the chest", "a broomstick"),
    BELT_STICK("belt-stick", "Stick through the belt loops", null),
    HALF_BALLS("half-balls", "Two half tennis balls", null),
    SQUEAKER("squeaker", "Squeezable toy that sounds", null),
    DISC("disc", "Flying disc", "a plastic plate or a folded towel on a smooth floor"),
    ROCKER_BOARDS("rocker-boards", "Two small rocker boards", null),
    FOAM_ROLL("foam-roll", "Foam half-roll", "three balls side by side under a towel"),
    GLOVE("glove", "Glove", "a cloth"),
    CLICKER("clicker", "Tally clicker", "coins moved from pocket to pocket"),
    SPIKES("spikes", "Spiked shoes", null),
    MIRROR("mirror", "Mirror", "a dark window or your own shadow"),
    PHONE_CAMERA("phone-camera", "Phone camera", null),
    DRIVER("driver", "Driver", null),
    SEVEN_IRON("seven-iron", "7-iron", null),
    WEDGE("wedge", "Wedge", "the shortest iron"),
    BUCKET_BROOM("bucket-broom", "Upright stick", "a broom in a bucket"),
    FOAM_BALL("foam-ball", "Foam or plastic ball", null),
    STRIKE_MAT("strike-mat", "Strike mat", null),
    NET("net", "Net of one's own", null);

    private final String id;
    private final String label;
    private final String substitute;

    Equipment(String id, String label, String substitute) {
        this.id = id;
        this.label = label;
        this.substitute = substitute;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    public Optional<String> substitute() {
        return Optional.ofNullable(substitute);
    }
}
