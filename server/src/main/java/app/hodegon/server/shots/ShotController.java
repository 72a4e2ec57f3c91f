package app.hodegon.server.shots;

import app.hodegon.core.progress.Sample;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.shots.ShotFigure;
import app.hodegon.core.shots.ShotRows.Broken;
import app.hodegon.core.simulate.RangeBay.Club;
import app.hodegon.core.swing.Handedness;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.CsvCell;
import app.hodegon.server.http.HeavyWork;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.Plain;
import app.hodegon.server.shots.ShotFileEntry.ColumnsEntry;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Files of measured balls: a look, taking them, taking them out again; and the simulated bay that makes some. */
@RestController
@RequestMapping("/api")
class ShotController {

    private static final int SHOWN_ROWS = 8;
    private static final int SHOWN_BROKEN = 100;

    private final ShotFiles files;
    private final Students students;
    private final HeavyWork heavy;

    ShotController(ShotFiles files, Students students, HeavyWork heavy) {
        this.files = files;
        this.students = students;
        this.heavy = heavy;
    }

    /**
     * What a file holds; nothing is stored.
     *
     * @param rows the first rows as they stand
     * @param remembered whether the columns are those of an earlier file with this heading
     * @param broken how many rows cannot be read
     * @param shownBroken the first of them
     */
    record LookView(
            @NotNull List<String> heading,
            @NotNull List<List<String>> rows,
            @NotNull ColumnsEntry columns,
            @NotNull boolean remembered,
            @NotNull int balls,
            @NotNull int broken,
            @NotNull List<BrokenView> shownBroken,
            @NotNull List<ClubView> clubs) {}

    record BrokenView(
            @NotNull int row,
            @NotNull String column,
            @NotNull String reason) {

        static BrokenView of(Broken broken) {
            return new BrokenView(broken.row(), broken.column(), broken.reason());
        }
    }

    /** The balls with one club, in metres and metres a second. */
    record ClubView(
            @NotNull String club,
            @NotNull int balls,
            @NotNull List<FigureView> figures) {}

    record FigureView(
            @NotNull String figure,
            @NotNull String label,
            @NotNull String unit,
            @NotNull double mean,
            @NotNull double median) {}

    /**
     * @param moment before, after, or the name of what was tried
     * @param leaveOut whether unreadable rows stay out
     * @param club taken alone; null for every club
     */
    record TakeEntry(
            @NotBlank @Plain @Size(max = 120) String name,
            @NotNull @Size(max = 24) String moment,
            @NotNull Boolean leaveOut,
            @Size(max = 40) String club,
            @NotNull @Valid ShotFileEntry file) {}

    @PostMapping("/lessons/{id}/shot-files/look")
    LookView look(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody ShotFileEntry entry) {
        return heavy.done(() -> view(files.look(coach, id, entry)));
    }

    private static LookView view(ShotFiles.Look look) {
        return new LookView(
                look.file().heading(),
                look.file().rows().stream().limit(SHOWN_ROWS).toList(),
                look.columns(),
                look.remembered(),
                look.rows().shots().size(),
                look.rows().broken().size(),
                look.rows().broken().stream()
                        .limit(SHOWN_BROKEN)
                        .map(BrokenView::of)
                        .toList(),
                clubs(look.rows().shots()));
    }

    private static List<ClubView> clubs(List<Shot> shots) {
        return shots.stream().collect(Collectors.groupingBy(Shot::club)).entrySet().stream()
                .map(e -> new ClubView(e.getKey(), e.getValue().size(), figures(e.getValue())))
                .sorted((a, b) -> b.balls() - a.balls())
                .toList();
    }

    private static List<FigureView> figures(List<Shot> shots) {
        List<FigureView> figures = new ArrayList<>();
        for (ShotFigure figure : ShotFigure.values()) {
            double[] values = shots.stream()
                    .flatMapToDouble(s -> s.figure(figure).stream())
                    .toArray();
            if (values.length == 0) continue;
            Sample sample = Sample.of(values);
            figures.add(new FigureView(figure.id(), figure.label(), figure.unit(), sample.mean(), sample.median()));
        }
        return figures;
    }

    @PostMapping("/lessons/{id}/shot-files")
    @ResponseStatus(HttpStatus.CREATED)
    ShotFileView take(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody TakeEntry entry) {
        return heavy.done(() ->
                files.take(coach, id, entry.name(), entry.moment(), entry.file(), entry.leaveOut(), entry.club()));
    }

    @GetMapping("/lessons/{id}/shot-files")
    List<ShotFileView> list(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return files.ofLesson(coach, id);
    }

    @DeleteMapping("/shot-files/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        files.remove(coach, id);
    }

    /** A file such as a bay would make, right of the line being plus. */
    @GetMapping(value = "/students/{id}/bay.csv", produces = "text/csv")
    ResponseEntity<String> bay(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "7 iron") @Size(max = 20) String club,
            @RequestParam(defaultValue = "20") @Min(1) @Max(200) int balls)
            throws IOException {
        Club asked = Arrays.stream(Club.values())
                .filter(c -> c.label().equals(club))
                .findFirst()
                .orElseThrow(() -> new Invalid(
                        "club",
                        "The bay has: "
                                + Arrays.stream(Club.values()).map(Club::label).collect(Collectors.joining(", "))));
        boolean trailIsRight = students.ofCoach(coach, id).hand() == Handedness.RIGHT;
        StringBuilder text = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(text, CSVFormat.DEFAULT)) {
            csv.printRecord("Ball", "Club", "Carry (m)", "Side (m)", "Ball speed (m/s)", "Club speed (m/s)");
            int number = 1;
            for (Shot shot : files.bay(
                    coach, id, asked, balls, ThreadLocalRandom.current().nextLong())) {
                csv.printRecord(
                        number++,
                        CsvCell.safe(shot.club()),
                        cell(shot.carry(), false),
                        cell(shot.offline(), !trailIsRight),
                        cell(shot.ballSpeed(), false),
                        cell(shot.clubSpeed(), false));
            }
        }
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"bay-" + club.replace(' ', '-') + ".csv\"")
                .body(text.toString());
    }

    private static String cell(OptionalDouble value, boolean mirrored) {
        return value.isPresent() ? Double.toString(mirrored ? 0 - value.getAsDouble() : value.getAsDouble()) : "";
    }
}
