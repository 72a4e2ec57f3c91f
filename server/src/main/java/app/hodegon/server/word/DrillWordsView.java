package app.hodegon.server.word;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;

/**
 * What a coach has of a drill.
 *
 * @param words the coach's; may be empty
 * @param film null where there is none
 */
public record DrillWordsView(@NotNull String words, DrillFilmView film) {

    /**
     * A film that is kept.
     *
     * @param agreedBy who is in it and agreed
     */
    public record DrillFilmView(
            @NotNull int bytes,
            @NotNull String agreedBy,
            @NotNull LocalDate agreedOn) {}
}
