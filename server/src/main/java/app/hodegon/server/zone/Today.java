package app.hodegon.server.zone;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Which day it is for whom. A student's day is the day where the student is, and a coach's where the coach is, as the
 * browser last said; a student without a phone lives in the coach's zone, and whoever was never seen in the server's.
 */
@Service
public class Today {

    /** By which two people's days may differ. */
    private static final Duration GRACE = Duration.ofHours(12);

    private final ZoneRepository zones;
    private final Clock clock;

    Today(ZoneRepository zones, Clock clock) {
        this.zones = zones;
        this.clock = clock;
    }

    /** Today for a coach. */
    public LocalDate ofCoach(UUID account) {
        return in(zones.ofAccount(account));
    }

    /** Today for a student. */
    public LocalDate ofStudent(UUID student) {
        return in(zones.ofStudent(student));
    }

    /**
     * The latest day that something done by a student may bear: today, or tomorrow in the last half of the day, for a zone
     * is not always known.
     */
    public LocalDate latestOf(UUID student) {
        Optional<ZoneId> zone = zones.ofStudent(student);
        return LocalDate.now(Clock.offset(zone.map(clock::withZone).orElse(clock), GRACE));
    }

    /** Today for each of these students; where it is the same day for everybody, nobody's zone is asked for. */
    public Map<UUID, LocalDate> ofStudents(Collection<UUID> students) {
        LocalDate here = in(Optional.empty());
        boolean everywhere = ofZones().values().stream().allMatch(here::equals);
        Map<UUID, Optional<ZoneId>> all = everywhere ? Map.of() : zones.ofStudents(students);
        return students.stream()
                .distinct()
                .collect(Collectors.toMap(id -> id, id -> in(all.getOrDefault(id, Optional.empty()))));
    }

    /** Today in every zone in which somebody was last seen. */
    public Map<ZoneId, LocalDate> ofZones() {
        return zones.all().stream().collect(Collectors.toMap(zone -> zone, zone -> in(Optional.of(zone))));
    }

    /** The day on which something happened, as it was for a student. */
    public LocalDate dayOf(OffsetDateTime time, UUID student) {
        return time.atZoneSameInstant(zones.ofStudent(student).orElse(clock.getZone()))
                .toLocalDate();
    }

    private LocalDate in(Optional<ZoneId> zone) {
        return LocalDate.now(zone.map(clock::withZone).orElse(clock));
    }
}
