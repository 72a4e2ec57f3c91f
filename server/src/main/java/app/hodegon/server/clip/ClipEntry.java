package app.hodegon.server.clip;

import app.hodegon.server.track.TrackRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * A swing filmed in a lesson.
 *
 * @param name of the file
 * @param width of the pictures in which the points lie, pixels
 * @param track its points; the hand is the student's, whatever it says
 */
public record ClipEntry(
        @NotNull @Size(max = 10) String stage,
        @NotBlank @Size(max = 120) String name,
        @NotNull @Min(16) @Max(3000) Integer width,
        @NotNull @Min(16) @Max(3000) Integer height,
        @NotNull @Valid TrackRequest track)
        implements Filmed {}
