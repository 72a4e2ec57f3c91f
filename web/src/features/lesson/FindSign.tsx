import { useState } from "react";
import type { Catalogue } from "@/api/types";
import { Sheet } from "@/ui/Sheet";
import type { Sign } from "./SignList";
import { fold } from "@/ui/fold";

/** Finds a sign by typing a few letters of it. */
export function FindSign({
  open,
  onOpenChange,
  catalogue,
  onFound,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  catalogue: Catalogue;
  onFound: (sign: Sign) => void;
}) {
  const [text, setText] = useState("");
  const words = fold(text).split(/\s+/).filter(Boolean);
  const found = catalogue.signs
    .filter((s) => words.every((w) => fold(`${s.label} ${s.how}`).includes(w)))
    .slice(0, 8);
  const take = (sign: Sign) => {
    setText("");
    onFound(sign);
  };
  return (
    <Sheet title="Find a sign" open={open} onOpenChange={onOpenChange}>
      <input
        aria-label="Find a sign"
        autoFocus
        value={text}
        onChange={(e) => setText(e.target.value)}
        onKeyDown={(e) => {
          if (e.key === "Enter" && found[0]) take(found[0]);
        }}
      />
      <ul>
        {found.map((sign) => (
          <li key={sign.id}>
            <button
              type="button"
              className="hover:bg-tint min-h-11 w-full px-2 text-left"
              onClick={() => take(sign)}
            >
              {sign.label}
            </button>
          </li>
        ))}
        {found.length === 0 && <li className="text-soft">No sign has these words.</li>}
      </ul>
    </Sheet>
  );
}
