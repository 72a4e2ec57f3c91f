package app.hodegon.core.swing;

/**
 * How texts are said to a person: lead and trail by the hand, lengths in the person's units. The one place in which a
 * text with placeholders becomes a sentence.
 */
public record Wording(Handedness hand, Units units) {

    public String say(String text) {
        return units.say(hand.sides(text));
    }
}
