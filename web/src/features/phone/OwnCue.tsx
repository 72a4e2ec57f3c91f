import { useQueryClient } from "@tanstack/react-query";
import { Pencil } from "lucide-react";
import { useState } from "react";
import { queries } from "@/api/queries";
import type { Drill, Me } from "@/api/types";
import { Button } from "@/ui/Button";
import { IconButton } from "@/ui/IconButton";
import { sendWaiting } from "./sending";
import type { Today } from "./today";
import { useMailbag } from "./useOutbox";

const LONGEST = 120;

/** What the student calls the drill's cue, beside it; kept on the phone and sent like practice. */
export function OwnCue({ today, drill }: { today: Today; drill: Drill }) {
  const client = useQueryClient();
  const bag = useMailbag();
  const own = today.cues[drill.id] ?? "";
  const [text, setText] = useState<string>();
  if (text === undefined) {
    return (
      <p className="flex items-center gap-1">
        {own ? (
          <span className="text-xl italic">{own}</span>
        ) : (
          <span className="text-soft">In your words?</span>
        )}
        <IconButton label={own ? "Change your words" : "Your own words for it"} onClick={() => setText(own)}>
          <Pencil aria-hidden className="size-4" />
        </IconButton>
      </p>
    );
  }
  const keep = () => {
    const words = text.trim();
    setText(undefined);
    if (words === own) return;
    bag.letters.write({
      id: drill.id,
      what: `your words for ${drill.name.toLowerCase()}`,
      day: today.date,
      to: "cues",
      body: { words, edition: 1 + edition(bag.letters.kept(), drill.id) },
    });
    client.setQueryData<Me>(
      queries.me().queryKey,
      (me) => me && { ...me, cues: { ...me.cues, [drill.id]: words } },
    );
    void sendWaiting(bag).catch(() => undefined);
  };
  return (
    <form
      className="flex gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <input
        autoFocus
        aria-label={`Your own words for “${drill.cue}”`}
        className="min-h-12 min-w-0 flex-1"
        maxLength={LONGEST}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <Button type="submit">Keep</Button>
    </form>
  );
}

function edition(letters: { id: string; body: { edition: number } }[], id: string): number {
  return letters.find((l) => l.id === id)?.body.edition ?? 0;
}
