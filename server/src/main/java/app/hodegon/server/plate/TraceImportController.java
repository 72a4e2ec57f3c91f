package app.hodegon.server.plate;

import app.hodegon.core.motion.TraceColumns;
import app.hodegon.server.account.Account;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Files with loads: what their columns mean, their rows, and the swings found in them. */
@RestController
@RequestMapping("/api")
class TraceImportController {

    private final TraceImports imports;

    TraceImportController(TraceImports imports) {
        this.imports = imports;
    }

    record TraceHeading(@NotNull @Size(min = 1, max = 400) List<@NotNull @Size(max = 200) String> heading) {}

    /**
     * @param time column of the times; null where the rate is said
     * @param perSecond units of the time in a second, 1 or 1,000
     * @param channels column by channel
     */
    record TraceColumnsEntry(
            @Min(0) @Max(400) Integer time,
            @NotNull Double perSecond,
            @NotNull @Size(max = 20) String unit,
            @NotNull @Size(max = 8) Map<@Size(max = 40) String, @NotNull @Min(0) @Max(400) Integer> channels) {

        static TraceColumnsEntry of(TraceColumns columns) {
            return new TraceColumnsEntry(
                    columns.time().isPresent() ? columns.time().getAsInt() : null,
                    columns.perSecond(),
                    columns.unit().id(),
                    columns.channels());
        }
    }

    record TraceShapeView(
            @NotNull TraceColumnsEntry columns, @NotNull boolean remembered) {}

    /** @param rate samples a second, as said or as the times tell */
    record TraceImportEntry(
            @NotBlank @Size(max = 120) String name,
            @NotNull @Size(max = 10) String stage,
            @NotNull Double rate,
            @NotNull @Size(min = 1, max = 400) List<@NotNull @Size(max = 200) String> heading,
            @NotNull @Valid TraceColumnsEntry columns) {}

    /** @param channels in the order in which a row has its values */
    record TraceImportBegun(@NotNull UUID id, @NotNull List<String> channels) {}

    /** @param rows a sample's number, then its values */
    record TraceRows(@NotNull @Size(max = 20_000) List<@NotNull @Size(min = 3, max = 9) List<Double>> rows) {}

    /** @param warnings how many things are said against it */
    record FoundSwing(
            @NotNull int number,
            @NotNull double seconds,
            @NotNull List<Integer> spark,
            @NotNull int warnings) {}

    record TraceTaking(@NotNull @Size(max = 400) Set<@NotNull Integer> leaveOut) {}

    @PostMapping("/trace-shapes")
    TraceShapeView shape(@AuthenticationPrincipal Account coach, @Valid @RequestBody TraceHeading heading) {
        return imports.shape(coach, heading.heading());
    }

    @PostMapping("/lessons/{lessonId}/trace-imports")
    @ResponseStatus(HttpStatus.CREATED)
    TraceImportBegun begin(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID lessonId,
            @Valid @RequestBody TraceImportEntry entry) {
        return imports.begin(coach, lessonId, entry);
    }

    @PostMapping("/trace-imports/{importId}/rows")
    List<FoundSwing> rows(
            @AuthenticationPrincipal Account coach, @PathVariable UUID importId, @Valid @RequestBody TraceRows rows) {
        return imports.rows(coach, importId, rows.rows());
    }

    @PostMapping("/trace-imports/{importId}/take")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID importId,
            @Valid @RequestBody TraceTaking taking) {
        imports.take(coach, importId, taking.leaveOut());
    }

    @DeleteMapping("/trace-imports/{importId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@AuthenticationPrincipal Account coach, @PathVariable UUID importId) {
        imports.drop(coach, importId);
    }
}
