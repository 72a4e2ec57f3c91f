import { useEffect, useRef } from "react";
import type { Catalogue, LessonEntry } from "@/api/types";
import { Choice } from "@/ui/Choice";
import { Button } from "@/ui/Button";
import { type Answer, answered, noToTheRest } from "./changes";

export const BODY_SCREEN = "body";

export type Sign = Catalogue["signs"][number];

/** The signs under one heading of the strip. */
export function signsAt(catalogue: Catalogue, place: string): Sign[] {
  return catalogue.signs.filter((s) =>
    place === BODY_SCREEN ? s.effort === "screen" : s.at === place && s.effort !== "screen",
  );
}

/** Checkpoints in the order of the swing, with how many of their signs are answered. */
export function CheckpointStrip({
  catalogue,
  entry,
  chosen,
  onChoose,
}: {
  catalogue: Catalogue;
  entry: LessonEntry;
  chosen: string;
  onChoose: (place: string) => void;
}) {
  const places = [...catalogue.checkpoints, { id: BODY_SCREEN, label: "Body screen", brief: "Body" }].filter(
    (p) => signsAt(catalogue, p.id).length > 0,
  );
  return (
    <div
      role="group"
      aria-label="Checkpoints"
      className="grid grid-cols-[repeat(auto-fit,minmax(4.75rem,1fr))] gap-1.5"
    >
      {places.map((place, index) => {
        const signs = signsAt(catalogue, place.id);
        const seen = signs.filter((s) => entry.signs[s.id]).length;
        return (
          <button
            key={place.id}
            type="button"
            aria-pressed={chosen === place.id}
            onClick={() => onChoose(place.id)}
            className="border-strong-line bg-sheet aria-pressed:bg-ink aria-pressed:text-on-ink not-aria-pressed:hover:bg-tint grid min-h-11 justify-items-start rounded-md border px-2 py-1 text-left leading-tight"
          >
            <span className="text-sm font-semibold">
              <kbd className="font-sans text-xs font-normal">{index + 1}</kbd>{" "}
              <span title={place.label}>{place.brief}</span>
            </span>
            <span className="text-xs">
              {seen} of {signs.length}
            </span>
          </button>
        );
      })}
    </div>
  );
}

const ANSWERS = [
  { id: "yes", label: "Yes" },
  { id: "no", label: "No" },
  { id: "unseen", label: "Not looked" },
];

/** Signs to be answered; the one that takes the keys is marked. */
export function SignList({
  signs,
  entry,
  current,
  onCurrent,
  onShow,
  change,
}: {
  signs: Sign[];
  entry: LessonEntry;
  current: string | undefined;
  onCurrent: (sign: string) => void;
  /** Shows what it looks like. */
  onShow: (sign: Sign) => void;
  change: (change: (entry: LessonEntry) => LessonEntry) => void;
}) {
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => {
    if (current) list.current?.querySelector("[data-current=true]")?.scrollIntoView?.({ block: "nearest" });
  }, [current]);
  const open = signs.filter((s) => !entry.signs[s.id]).length;
  return (
    <>
      <ul ref={list}>
        {signs.map((sign) => (
          <li
            key={sign.id}
            data-current={current === sign.id}
            className="border-line data-[current=true]:border-l-lead flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-l-4 border-l-transparent py-1.5 pl-3"
          >
            <div className="min-w-48 flex-1">
              <p className="leading-tight font-semibold">{sign.label}</p>
              <p className="text-soft text-sm leading-snug">
                {sign.how}{" "}
                {sign.shows && (
                  <button
                    type="button"
                    className="no-print hover:text-ink min-h-6 underline underline-offset-2"
                    aria-label={`Show: ${sign.label}`}
                    onClick={() => onShow(sign)}
                  >
                    Show
                  </button>
                )}
              </p>
            </div>
            <Choice
              compact
              label={sign.label}
              value={entry.signs[sign.id] ?? "unseen"}
              options={ANSWERS}
              onChange={(answer) => {
                onCurrent(sign.id);
                change((e) => answered(e, sign.id, answer as Answer));
              }}
            />
          </li>
        ))}
      </ul>
      {open > 1 && open < signs.length && (
        <Button
          weight="quiet"
          className="justify-self-end text-sm"
          onClick={() => change((e) => noToTheRest(e, signs))}
        >
          No to the other {open} <kbd className="text-soft font-sans font-normal">N</kbd>
        </Button>
      )}
    </>
  );
}
