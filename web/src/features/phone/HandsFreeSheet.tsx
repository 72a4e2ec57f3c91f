import type { ReactNode } from "react";
import { Sheet } from "@/ui/Sheet";
import { type HandsFree, wish } from "./handsFree";
import type { Listening } from "./useHandsFree";

const SAID: Record<Listening, string> = {
  off: "",
  asking: "The browser asks whether it may listen.",
  on: "Listening.",
  "too-loud": "It is too loud here to hear anything for sure. Count by hand.",
  refused: "The browser may not listen. Allow the microphone for this page, or count by hand.",
  unable: "This browser cannot listen here: it needs a secure connection (https).",
};

/** What goes on without hands, each wanted by itself. */
export function HandsFreeSheet({
  open,
  onOpenChange,
  all,
  onChange,
  sounds,
  tempo,
  own,
  listening,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  all: HandsFree;
  onChange: (all: HandsFree) => void;
  /** Whether the drill has a prop that sounds. */
  sounds: boolean;
  /** Backswing to downswing. */
  tempo: string;
  /** Whether the tempo was measured with this student. */
  own: boolean;
  listening: Listening;
}) {
  return (
    <Sheet title="Without hands" open={open} onOpenChange={onOpenChange}>
      <div className="grid gap-1">
        <Wish on={all.beat} onChange={(beat) => onChange(wish(all, { beat }))}>
          A beat: start, top, strike, {tempo}
          {own ? ", your own from the lesson" : ", a usual one until yours is measured"}
        </Wish>
        <Wish on={all.tap} onChange={(tap) => onChange({ ...all, tap })}>
          Count a good one by tapping anywhere in the picture
        </Wish>
        <Wish on={all.sound} onChange={(sound) => onChange(wish(all, { sound }))}>
          Count a good one by a short sound
        </Wish>
        {sounds && (
          <Wish on={all.release} onChange={(release) => onChange(wish(all, { release }))}>
            Time the prop's sound against the strike
          </Wish>
        )}
      </div>
      <p className="text-soft text-sm">
        The beat and listening do not go together: the phone would count its own beat. The microphone is
        looked at a moment at a time. Nothing is recorded, kept or sent.
      </p>
      <p role="status">{SAID[listening]}</p>
    </Sheet>
  );
}

function Wish({
  on,
  onChange,
  children,
}: {
  on: boolean;
  onChange: (on: boolean) => void;
  children: ReactNode;
}) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-5 shrink-0"
        checked={on}
        onChange={(e) => onChange(e.target.checked)}
      />
      <span>{children}</span>
    </label>
  );
}
