import type { Catalogue, StudentProfile } from "@/api/types";
import { NumberField } from "@/ui/NumberField";

const DAYS = [
  { id: "mon", label: "Monday" },
  { id: "tue", label: "Tuesday" },
  { id: "wed", label: "Wednesday" },
  { id: "thu", label: "Thursday" },
  { id: "fri", label: "Friday" },
  { id: "sat", label: "Saturday" },
  { id: "sun", label: "Sunday" },
];

/** Minutes and place of every day of the week. */
export function WeekFields({
  week,
  places,
  onChange,
  error,
}: {
  week: StudentProfile["week"];
  places: Catalogue["places"];
  onChange: (week: StudentProfile["week"]) => void;
  error?: string;
}) {
  const set = (day: string, minutes: number, place: string) => {
    const next = { ...week };
    if (minutes > 0) next[day] = { minutes, place };
    else delete next[day];
    onChange(next);
  };
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 font-semibold">Time to practise</legend>
      {DAYS.map((day) => {
        const slot = week[day.id];
        return (
          <div key={day.id} className="flex flex-wrap items-center gap-2">
            <span className="w-28">{day.label}</span>
            <NumberField
              lowest={0}
              highest={300}
              unit="min"
              aria-label={`Minutes on ${day.label}`}
              className="w-24"
              value={slot?.minutes ?? null}
              placeholder="–"
              onChange={(minutes) => set(day.id, minutes ?? 0, slot?.place ?? "home")}
            />
            <span className="text-soft">min</span>
            {slot && (
              <select
                aria-label={`Place on ${day.label}`}
                value={slot.place}
                onChange={(e) => set(day.id, slot.minutes, e.target.value)}
              >
                {places.map((place) => (
                  <option key={place.id} value={place.id}>
                    {place.label}
                  </option>
                ))}
              </select>
            )}
          </div>
        );
      })}
      {error && (
        <p role="alert" className="text-alert font-semibold">
          {error}
        </p>
      )}
    </fieldset>
  );
}

/** What the places of the week have underfoot: some drills need grass, some shoes slip on a floor. */
export function Grounds({
  profile,
  catalogue,
  onChange,
}: {
  profile: StudentProfile;
  catalogue: Catalogue;
  onChange: (grounds: Record<string, string>) => void;
}) {
  const used = catalogue.places.filter((p) =>
    Object.values(profile.week).some((slot) => slot.place === p.id && slot.minutes > 0),
  );
  if (used.length === 0) return null;
  const grounds = profile.grounds ?? {};
  return (
    <fieldset className="grid gap-1">
      <legend className="font-semibold">Underfoot</legend>
      <div className="flex flex-wrap gap-4">
        {used.map((place) => (
          <label key={place.id} className="grid">
            <span className="text-soft text-sm">{place.label}</span>
            <select
              className="min-h-11"
              value={grounds[place.id] ?? ""}
              onChange={(e) => {
                const others = Object.entries(grounds).filter(([id]) => id !== place.id);
                onChange(
                  Object.fromEntries(e.target.value ? [...others, [place.id, e.target.value]] : others),
                );
              }}
            >
              <option value="">as usual there</option>
              {catalogue.grounds.map((g) => (
                <option key={g.id} value={g.id}>
                  {g.label}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
