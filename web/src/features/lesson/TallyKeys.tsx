import { Minus } from "lucide-react";
import type { Catalogue, LessonEntry, MomentName } from "@/api/types";
import { counted, type Kind } from "./changes";
import { total } from "../progress/tally";
import { keyFor } from "./keys";

const KINDS: { id: Kind; label: string }[] = [
  { id: "flight", label: "Flight" },
  { id: "strike", label: "Strike" },
  { id: "divot", label: "Divot" },
];

/** Big keys to tally balls with; each also has a letter. */
export function TallyKeys({
  entry,
  moment,
  catalogue,
  change,
}: {
  entry: LessonEntry;
  moment: MomentName;
  catalogue: Catalogue;
  change: (change: (entry: LessonEntry) => LessonEntry) => void;
}) {
  return (
    <div className="grid gap-2">
      {KINDS.map((kind) => {
        const counts = entry[moment].shots[kind.id];
        return (
          <div
            key={kind.id}
            role="group"
            aria-label={kind.label}
            className="grid grid-cols-[3.5rem_1fr] gap-1"
          >
            <span className="text-soft w-14 self-center text-sm">
              {kind.label}
              <br />
              {total(counts)} {total(counts) === 1 ? "ball" : "balls"}
            </span>
            <div className="grid grid-cols-[repeat(auto-fill,minmax(6.4rem,1fr))] gap-1">
              {catalogue.ballResults
                .filter((r) => r.kind === kind.id)
                .map((result) => {
                  const count = counts?.[result.id] ?? 0;
                  return (
                    <span key={result.id} className="border-strong-line bg-sheet flex rounded-md border">
                      <button
                        type="button"
                        aria-label={`${result.label} ${keyFor(kind.id, result.id)}: ${count}`}
                        className="hover:bg-tint grid min-h-11 min-w-0 flex-1 justify-items-center rounded-md px-1 py-0.5"
                        onClick={() => change((e) => counted(e, moment, kind.id, result.id, 1))}
                      >
                        <span className="text-sm">
                          {result.label}{" "}
                          <kbd className="text-soft font-sans text-xs">{keyFor(kind.id, result.id)}</kbd>
                        </span>{" "}
                        <span
                          className={`text-lg leading-none font-bold ${count === 0 ? "text-soft font-normal" : ""}`}
                        >
                          {count === 0 ? "–" : count}
                        </span>
                      </button>
                      {count > 0 && (
                        <button
                          type="button"
                          aria-label={`One ${result.label} less`}
                          className="border-line hover:bg-tint border-l px-1"
                          onClick={() => change((e) => counted(e, moment, kind.id, result.id, -1))}
                        >
                          <Minus aria-hidden className="size-3.5" />
                        </button>
                      )}
                    </span>
                  );
                })}
            </div>
          </div>
        );
      })}
    </div>
  );
}
