import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { queries } from "@/api/queries";
import { longDay } from "@/calendar/dates";

/** The swings that a student filmed and sent; nothing where there are none. */
export function SentFilms({ studentId }: { studentId: string }) {
  const sent = useQuery(queries.sentClips(studentId));
  if (!sent.data || sent.data.length === 0) return null;
  return (
    <section aria-labelledby="films" className="mt-6">
      <h2 id="films">Films sent</h2>
      <ul>
        {sent.data.map(({ clip, practisedOn, seen }) => (
          <li key={clip.id} className="border-line border-b py-2">
            <Link to={`/students/${studentId}/films/${clip.id}`} className={seen ? "" : "font-semibold"}>
              {longDay(practisedOn)}
            </Link>{" "}
            <span className="text-soft">
              {clip.view === "face-on" ? "face on" : "down the line"}
              {!seen && ", not looked at yet"}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
