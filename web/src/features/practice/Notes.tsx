import { useState } from "react";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { shortDay } from "@/ui/dates";

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
  onAnswer: (session: string, said: string) => void;
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
          <Answer busy={busy} onAnswer={(said) => onAnswer(thread.session, said)} day={thread.day} />
        </li>
      ))}
    </ul>
  );
}

function Answer({ busy, onAnswer, day }: { busy: boolean; onAnswer: (said: string) => void; day: string }) {
  const [said, setSaid] = useState("");
  return (
    <form
      className="flex gap-2 pl-6"
      onSubmit={(e) => {
        e.preventDefault();
        onAnswer(said.trim());
        setSaid("");
      }}
    >
      <input
        aria-label={`Answer to the note of ${shortDay(day)}`}
        placeholder="Answer"
        maxLength={1000}
        className="min-w-0 flex-1"
        value={said}
        onChange={(e) => setSaid(e.target.value)}
      />
      <Button type="submit" disabled={busy || !said.trim()}>
        Send
      </Button>
    </form>
  );
}
