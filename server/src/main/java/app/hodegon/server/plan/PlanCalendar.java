package app.hodegon.server.plan;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Place;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.plan.PlanView.BlockView;
import app.hodegon.server.plan.PlanView.DayView;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Status;
import biweekly.util.ICalDate;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Date;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A plan's practice days as an iCalendar file (RFC 5545): whole days, for the student chooses the hour. */
final class PlanCalendar {

    private static final String PRODUCT = "-//Hodegon//Plan//EN";

    /** Longest line, in octets without its end (RFC 5545, 3.1). */
    private static final int LONGEST_LINE = 75;

    private PlanCalendar() {}

    /** The calendar as a download. */
    static ResponseEntity<String> download(
            StoredPlan plan, List<LocalDate> givenUp, DrillLibrary library, Instant made) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"practice.ics\"")
                .body(of(plan, givenUp, library, made));
    }

    /**
     * The file's text. A day has the same identifier in every version of a plan, so that a re-laid plan updates a
     * calendar and does not double it; days that became free come as cancelled. A drill that is stopped for pain is
     * named as such.
     *
     * @param givenUp days that stood in an earlier version
     * @param made when the plan was last handed over or the file is made
     */
    static String of(StoredPlan plan, List<LocalDate> givenUp, DrillLibrary library, Instant made) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId(PRODUCT);
        Set<LocalDate> practised =
                plan.plan().days().stream().map(DayView::date).collect(Collectors.toSet());
        for (DayView day : plan.plan().days()) {
            VEvent event = event(plan, day.date(), made);
            event.setSummary(title(plan, day, library));
            event.setDescription(
                    day.blocks().stream().map(b -> line(plan, b, library)).collect(Collectors.joining("\n")));
            event.setLocation(Identified.of(Place.class, day.place()).label());
            calendar.addEvent(event);
        }
        givenUp.stream().filter(d -> !practised.contains(d)).forEach(free -> {
            VEvent event = event(plan, free, made);
            event.setSummary("No practice");
            event.setStatus(Status.cancelled());
            calendar.addEvent(event);
        });
        return folded(Biweekly.write(calendar).go());
    }

    /** The library folds by characters; a line's length is counted in octets. */
    private static String folded(String text) {
        StringBuilder folded = new StringBuilder();
        for (String line : text.replace("\r\n ", "").split("\r\n")) {
            int octets = 0;
            for (int i = 0; i < line.length(); i = line.offsetByCodePoints(i, 1)) {
                String one = Character.toString(line.codePointAt(i));
                int length = one.getBytes(StandardCharsets.UTF_8).length;
                if (octets + length > LONGEST_LINE) {
                    folded.append("\r\n ");
                    octets = 1;
                }
                folded.append(one);
                octets += length;
            }
            folded.append("\r\n");
        }
        return folded.toString();
    }

    private static VEvent event(StoredPlan plan, LocalDate date, Instant made) {
        VEvent event = new VEvent();
        event.setUid(plan.id() + "-" + date + "@hodegon");
        event.setSequence(plan.revision());
        event.setDateTimeStamp(Date.from(made));
        event.setDateStart(wholeDay(date));
        event.setDateEnd(wholeDay(date.plusDays(1)));
        return event;
    }

    /** The library writes a date in the default zone; a bare date has none. */
    private static ICalDate wholeDay(LocalDate date) {
        return new ICalDate(Date.from(date.atStartOfDay(ZoneId.systemDefault()).toInstant()), false);
    }

    private static String title(StoredPlan plan, DayView day, DrillLibrary library) {
        List<BlockView> mayBeDone =
                day.blocks().stream().filter(b -> !plan.isStopped(b.drill())).toList();
        if (!day.hasWork() && !mayBeDone.isEmpty())
            return "Round: " + mayBeDone.get(0).cue();
        List<String> drills = mayBeDone.stream()
                .filter(b -> b.kind().equals("main"))
                .map(b -> name(library, b))
                .distinct()
                .toList();
        if (drills.isEmpty()) return "Practice: stopped for pain, ask your coach";
        return "Practice: " + String.join(", ", drills) + " (" + Math.round(day.minutes()) + " min)";
    }

    private static String name(DrillLibrary library, BlockView block) {
        String name = name(library, block.drill());
        return block.joined() == null
                ? name
                : name + " with " + name(library, block.joined()).toLowerCase(Locale.ROOT);
    }

    private static String name(DrillLibrary library, String drill) {
        return library.has(drill) ? library.drill(drill).name() : drill;
    }

    private static String line(StoredPlan plan, BlockView block, DrillLibrary library) {
        if (plan.isStopped(block.drill())) return "Stopped for pain, leave it out: " + name(library, block) + ".";
        return block.kind().substring(0, 1).toUpperCase(Locale.ROOT)
                + block.kind().substring(1) + ": "
                + name(library, block) + ", "
                + (block.ofARound()
                        ? block.sets() + " swings over the round"
                        : block.sets() + " × " + block.repsPerSet())
                + ". " + block.cue() + ".";
    }
}
