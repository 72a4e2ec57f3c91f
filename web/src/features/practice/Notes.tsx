import type { Wire } from "@/api/types";
import { shortDay } from "@/calendar/dates";
import { AnswerForm } from "./AnswerForm";

/** Notes from practice, each with what was said about it. */
export function Notes({
  threads,
  mine,
  busy,
  onAnswer,
}: {
  threads: Wire["NoteThread"][];
  mine: "coach" | "student";
  busy: boolean;
  onAnswer: (session: string, said: string, onSent: () => void) => void;
}) {
  return (
    <ul>
      {threads.map((thread) => (
        <li key={thread.session} className="border-line grid gap-1 border-b py-3">
          <p>
            <span className="text-soft text-sm">
              {shortDay(thread.day)} {mine === "student" ? "you" : "student"}
            </span>
            <br />
            {thread.note}
          </p>
          {thread.answers.map((answer, i) => (
            <p key={i} className="pl-6">
              <span className="text-soft text-sm">
                {answer.byCoach === (mine === "coach") ? "you" : answer.byCoach ? "your coach" : "student"}
              </span>
              <br />
              {answer.said}
            </p>
          ))}
          <div className="pl-6">
            <AnswerForm
              label={`Answer to the note of ${shortDay(thread.day)}`}
              busy={busy}
              onAnswer={(said, onSent) => onAnswer(thread.session, said, onSent)}
            />
          </div>
        </li>
      ))}
    </ul>
  );
}
