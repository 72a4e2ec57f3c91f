import {
  type KeyboardEvent,
  type PointerEvent,
  type ReactNode,
  type RefObject,
  useRef,
  useState,
} from "react";
import type { StoredPlan } from "@/api/types";
import { plusDays } from "@/calendar/dates";
import { type Chosen, chosenBlock, isAt, neighbour } from "./BlockPanel";
import { dropped, locked, moved, unlocked } from "./edits";
import type { Tread } from "./stairs";
import type { PlanWork } from "./usePlanTerms";

export type StairEdit = {
  stored: StoredPlan;
  work: PlanWork;
  chosen: Chosen | undefined;
  onChoose: (chosen: Chosen) => void;
  /** Whether the chosen block is to have the focus once it stands where it was moved. */
  focusRef: RefObject<boolean>;
};

/** A shorter pull is a tap. */
const PULLED = 6;

/** A block of the staircase that can be chosen, dragged to another day, and changed by keys. */
export function StairBlock({
  tread,
  dayWidth,
  scale,
  label,
  edit,
  onShow,
  children,
}: {
  tread: Tread;
  /** Width of a day in the picture's own units. */
  dayWidth: number;
  /** Width of the whole picture in its own units. */
  scale: number;
  label: string;
  edit: StairEdit | undefined;
  /** The day is pointed at, by pointer, focus or tap, or no longer. */
  onShow: (on: boolean) => void;
  children: ReactNode;
}) {
  const from = useRef<number>(undefined);
  const [pulled, setPulled] = useState(0);
  const showing = {
    onPointerEnter: () => onShow(true),
    onPointerLeave: (event: PointerEvent) => event.pointerType === "mouse" && onShow(false),
    onBlur: () => onShow(false),
  };
  if (!edit) {
    return (
      <g role="button" tabIndex={0} aria-label={label} onFocus={() => onShow(true)} {...showing}>
        {children}
      </g>
    );
  }
  const { stored, work, chosen, onChoose, focusRef } = edit;
  const at = { date: tread.date, fault: tread.fault, rung: tread.rung };
  const isChosen = isAt(chosen, at);
  const block = chosenBlock(stored, at);
  const move = (to: string | undefined) => {
    if (!block || !to || to === tread.date) return;
    work.apply(moved(stored.terms, tread.date, block, to), () => {
      onChoose({ ...at, date: to });
      focusRef.current = true;
    });
  };
  const units = (event: PointerEvent<SVGGElement>) =>
    ((event.clientX - (from.current ?? 0)) * scale) /
    (event.currentTarget.ownerSVGElement?.getBoundingClientRect().width || scale);
  const drop = (event: PointerEvent<SVGGElement>) => {
    if (from.current === undefined) return;
    const by = units(event);
    from.current = undefined;
    setPulled(0);
    if (Math.abs(by) >= PULLED) move(plusDays(tread.date, Math.round(by / dayWidth)));
  };
  const onKey = (event: KeyboardEvent) => {
    if (!block || work.busy) return;
    const act = {
      ArrowLeft: () => move(neighbour(stored, tread.date, -1)),
      ArrowRight: () => move(neighbour(stored, tread.date, 1)),
      "+": () => work.apply(locked(stored.terms, tread.date, block, block.sets + 1)),
      "-": () => block.sets > 1 && work.apply(locked(stored.terms, tread.date, block, block.sets - 1)),
      l: () =>
        work.apply(
          block.locked ? unlocked(stored.terms, tread.date, block) : locked(stored.terms, tread.date, block),
        ),
      Delete: () => work.apply(dropped(stored.terms, tread.date, block)),
      Enter: () => onChoose(at),
      Escape: () => onShow(false),
    }[event.key === "L" ? "l" : event.key];
    if (!act) return;
    act();
    event.preventDefault();
  };
  return (
    <g
      ref={(node) => {
        if (!isChosen || !node || !focusRef.current) return;
        // Moved here by a key or a pull: the focus comes along.
        focusRef.current = false;
        node.focus();
      }}
      role="button"
      tabIndex={0}
      aria-label={label}
      className="cursor-grab touch-none select-none"
      transform={pulled ? `translate(${pulled} 0)` : undefined}
      opacity={pulled ? 0.7 : undefined}
      {...showing}
      onFocus={() => {
        onShow(true);
        onChoose(at);
      }}
      onKeyDown={onKey}
      onPointerDown={(event) => {
        from.current = event.clientX;
        event.currentTarget.setPointerCapture?.(event.pointerId);
        onChoose(at);
      }}
      onPointerMove={(event) => from.current !== undefined && setPulled(units(event))}
      onPointerUp={drop}
      onPointerCancel={() => {
        from.current = undefined;
        setPulled(0);
      }}
    >
      {children}
    </g>
  );
}
