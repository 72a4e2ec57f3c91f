import { useState } from "react";
import { Button } from "@/ui/Button";

/** One line back about a note; it stays until it is sent. */
export function AnswerForm({
  label,
  busy,
  onAnswer,
}: {
  label: string;
  busy: boolean;
  onAnswer: (said: string, onSent: () => void) => void;
}) {
  const [said, setSaid] = useState("");
  return (
    <form
      className="flex gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        onAnswer(said.trim(), () => setSaid(""));
      }}
    >
      <input
        aria-label={label}
        placeholder="Answer in a line"
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
