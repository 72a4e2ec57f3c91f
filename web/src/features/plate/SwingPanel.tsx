import { useQuery } from "@tanstack/react-query";
import { Pause, Play } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Wire } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { Button } from "@/ui/Button";
import { Wide } from "@/ui/Wide";
import { Choice } from "@/ui/Choice";
import { IconButton } from "@/ui/IconButton";
import { Failed, Loading, Note } from "@/ui/Notice";
import { Soles } from "../feet/Soles";
import { TracePicture } from "./TracePicture";
import { alignedTo, byMoment, byTime, pressesAt, valueAt } from "./traceShape";

type Swing = Wire["SwingView"];

const FRAME = 1 / 60;

/** One swing: the soles moving with it, its curve over the school's band, moments that can be dragged, and its numbers. */
export function SwingPanel({
  swing,
  others,
  earlier,
  last,
  catalogue,
  corridors,
  hand,
  onMoments,
  failed,
}: {
  swing: Swing;
  /** What may be laid under it. */
  others: Swing[];
  /** And of lessons before. */
  earlier: Wire["EarlierSwings"][];
  /** What is laid under it at first. */
  last?: Swing;
  catalogue: Catalogue;
  corridors: Record<string, number[]>;
  hand: Hand;
  onMoments: (moments: Record<string, number | null>) => void;
  failed: Error | null;
}) {
  const curve = useQuery(queries.curve(swing.id));
  const [seconds, setSeconds] = useState(0);
  const [playing, setPlaying] = useState(true);
  const [underId, setUnder] = useState(last?.id ?? "");
  const [order, setOrder] = useState("time");
  const [chosen, setChosen] = useState<string>();
  const [table, setTable] = useState(false);
  const begin = Math.max(0, (swing.moments.find((m) => m.id === "address")?.time ?? 0) - 0.2);
  const under = [...others, ...earlier.flatMap((e) => e.swings)].find((o) => o.id === underId);
  const underCurve = useQuery({ ...queries.curve(under?.id ?? ""), enabled: !!under });

  useEffect(() => setSeconds(begin), [begin, swing.id]);
  useEffect(() => {
    if (!playing || !curve.data) return;
    if (window.matchMedia("(prefers-reduced-motion: reduce)").matches) return setPlaying(false);
    let last = performance.now();
    let frame = requestAnimationFrame(function step(now) {
      // Half as fast as it was: at full speed the way down is over before the eye has found it.
      const passed = (now - last) / 2000;
      if (passed >= FRAME) {
        last = now;
        setSeconds((s) => Math.min(swing.seconds, s + passed));
      }
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, curve.data, swing.seconds]);
  useEffect(() => {
    if (playing && seconds >= swing.seconds) setPlaying(false);
  }, [playing, seconds, swing.seconds]);

  const ids = useMemo(() => catalogue.checkpoints.map((c) => c.id), [catalogue]);
  const axisOf = (of: Swing) =>
    order === "time" ? byTime(swing.seconds) : byMoment(of.moments, ids, of.seconds);
  if (curve.isPending) return <Loading />;
  if (curve.isError) return <Failed error={curve.error} again={() => curve.refetch()} />;
  const { step, trailShare, push, halves } = curve.data;
  const at = (values: (number | null)[] | undefined) => valueAt(values, step, seconds);
  const share = at(trailShare);
  const now = {
    leadFront: at(halves?.leadFront) ?? undefined,
    leadOuter: at(halves?.leadOuter) ?? undefined,
    trailFront: at(halves?.trailFront) ?? undefined,
    trailOuter: at(halves?.trailOuter) ?? undefined,
  };
  const scrub = (to: number) => {
    setPlaying(false);
    setSeconds(Math.max(0, Math.min(swing.seconds, to)));
  };
  const moment = swing.moments.find((m) => m.id === chosen);
  return (
    <div className="grid gap-3">
      <div className="grid items-start gap-x-6 gap-y-3 md:grid-cols-[15rem_minmax(0,1fr)]">
        <div className="relative mx-auto max-w-60 md:mx-0">
          {share !== null && (
            <Soles
              hand={hand}
              trailShare={share}
              leadToe={now.leadFront}
              leadOuter={now.leadOuter}
              trailToe={now.trailFront}
              trailOuter={now.trailOuter}
            />
          )}
          {halves && <PressurePath curve={curve.data} begin={begin} seconds={seconds} hand={hand} />}
          <p className="text-soft text-center text-sm">Push {Math.round(at(push) ?? 100)} % of standing</p>
        </div>
        <div className="min-w-0">
          <div className="mb-1 flex flex-wrap items-center gap-x-4 gap-y-1 no-print">
            <Choice
              compact
              label="Along"
              value={order}
              options={[
                { id: "time", label: "In time" },
                { id: "moment", label: "By moment" },
              ]}
              onChange={setOrder}
            />
            <label className="flex items-center gap-2">
              <span className="text-soft text-sm">Under it</span>
              <select value={underId} onChange={(e) => setUnder(e.target.value)}>
                <option value="">nothing</option>
                <Swings of={others} />
                {earlier.map((e) => (
                  <optgroup key={e.heldOn} label={longDay(e.heldOn)}>
                    <Swings of={e.swings} />
                  </optgroup>
                ))}
              </select>
            </label>
            <a
              className="ml-auto text-sm"
              href={`/api/swings/${swing.id}/loads`}
              download={`swing-${swing.number}.csv`}
            >
              Loads as CSV
            </a>
            <Button className="px-3!" aria-pressed={table} onClick={() => setTable(!table)}>
              Table
            </Button>
          </div>
          <TracePicture
            swing={swing}
            curve={curve.data}
            axis={axisOf(swing)}
            corridors={corridors}
            checkpoints={catalogue.checkpoints}
            under={
              under && underCurve.data
                ? {
                    curve: underCurve.data,
                    axis: axisOf(under),
                    shifted: order === "time" ? alignedTo(swing.moments, under.moments) : (s) => s,
                  }
                : undefined
            }
            seconds={seconds}
            onScrub={scrub}
            chosen={chosen}
            onMove={(id, to) => {
              setChosen(id);
              const was = swing.moments.find((m) => m.id === id)?.time ?? 0;
              if (Math.abs(was - to) > 0.004) onMoments({ [id]: to });
            }}
          />
          <div className="flex items-center gap-2 no-print">
            <IconButton
              label={playing ? "Pause" : "Play at half speed"}
              onClick={() => {
                if (!playing && seconds >= swing.seconds - 0.01) setSeconds(begin);
                setPlaying(!playing);
              }}
            >
              {playing ? <Pause aria-hidden className="size-5" /> : <Play aria-hidden className="size-5" />}
            </IconButton>
            <input
              type="range"
              className="min-h-11 flex-1"
              aria-label="Time in the swing"
              aria-valuetext={`${seconds.toFixed(2)} s, ${Math.round(share ?? 0)} % under the trail foot`}
              min={0}
              max={swing.seconds}
              step={0.01}
              value={seconds}
              onChange={(e) => scrub(Number(e.target.value))}
            />
            <span className="text-soft w-16 text-right text-sm tabular-nums">{seconds.toFixed(2)} s</span>
          </div>
          <div role="group" aria-label="Moments" className="flex flex-wrap items-center gap-1 no-print">
            {catalogue.checkpoints.map((c) => {
              const known = swing.moments.find((m) => m.id === c.id);
              return (
                <button
                  key={c.id}
                  type="button"
                  title={known ? `${c.label}, ${FROM[known.from] ?? known.from}` : `${c.label}: not known`}
                  aria-pressed={chosen === c.id}
                  onClick={() => {
                    setChosen(c.id);
                    if (known) scrub(known.time);
                  }}
                  className={`aria-pressed:bg-ink aria-pressed:text-on-ink not-aria-pressed:hover:bg-tint min-h-11 rounded px-2 text-sm font-semibold ${known ? "" : "text-soft italic"}`}
                >
                  {c.brief}
                </button>
              );
            })}
            {chosen && (
              <Button className="px-3!" onClick={() => onMoments({ [chosen]: seconds })}>
                Set {catalogue.checkpoints.find((c) => c.id === chosen)?.brief.toLowerCase()} here
              </Button>
            )}
            {moment?.from === "corrected" && (
              <Button weight="quiet" className="px-3!" onClick={() => onMoments({ [moment.id]: null })}>
                Leave it open
              </Button>
            )}
          </div>
          {failed && <Failed error={failed} />}
        </div>
      </div>
      {swing.warnings.map((w) => (
        <Note key={w.code + w.text} tone="plain">
          {w.text}
        </Note>
      ))}
      {table && <MomentTable swing={swing} catalogue={catalogue} corridors={corridors} />}
    </div>
  );
}

function Swings({ of }: { of: Swing[] }) {
  return of.map((o) => (
    <option key={o.id} value={o.id}>
      swing {o.number}, {o.stage}
    </option>
  ));
}

const FROM: Record<string, string> = {
  given: "told by the plate",
  found: "found in the loads",
  estimated: "estimated",
  corrected: "set by hand",
};

/** Where both feet together press, from the begin of the swing to now. */
function PressurePath({
  curve,
  begin,
  seconds,
  hand,
}: {
  curve: Wire["CurveView"];
  begin: number;
  seconds: number;
  hand: Hand;
}) {
  const points = [];
  for (let t = Math.max(0, begin); t <= seconds; t += 0.02) {
    const share = valueAt(curve.trailShare, curve.step, t);
    const h = curve.halves!;
    if (share === null) continue;
    const { across, up } = pressesAt(
      share,
      {
        leadFront: valueAt(h.leadFront, curve.step, t) ?? 50,
        leadOuter: valueAt(h.leadOuter, curve.step, t) ?? 50,
        trailFront: valueAt(h.trailFront, curve.step, t) ?? 50,
        trailOuter: valueAt(h.trailOuter, curve.step, t) ?? 50,
      },
      hand === "right",
    );
    points.push([across, 248 - up * 240] as const);
  }
  const last = points[points.length - 1];
  if (!last) return null;
  return (
    <svg viewBox="0 0 300 290" className="pointer-events-none absolute inset-0 w-full" aria-hidden>
      <polyline
        points={points.map((p) => p.map((v) => v.toFixed(1)).join(",")).join(" ")}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.5"
        strokeLinejoin="round"
      />
      <circle cx={last[0]} cy={last[1]} r="6" fill="var(--ink)" stroke="var(--sheet)" strokeWidth="2" />
    </svg>
  );
}

/** The same as numbers. */
function MomentTable({
  swing,
  catalogue,
  corridors,
}: {
  swing: Swing;
  catalogue: Catalogue;
  corridors: Record<string, number[]>;
}) {
  const of = (measure: string, at: string) =>
    swing.readings.find((r) => r.measure === measure && r.at === at);
  const columns = ["trail-share", "trail-toe", "lead-toe", "trail-outer", "lead-outer"].filter((m) =>
    swing.readings.some((r) => r.measure === m),
  );
  return (
    <Wide label="Readings of the swing">
      <table className="w-full text-sm">
        <thead>
          <tr>
            <th scope="col">Moment</th>
            <th scope="col">Time</th>
            {columns.map((m) => (
              <th key={m} scope="col">
                {catalogue.measures.find((c) => c.id === m)?.label}, %
              </th>
            ))}
            <th scope="col">Band</th>
          </tr>
        </thead>
        <tbody>
          {swing.moments.map((m) => (
            <tr key={m.id} className="border-line border-t">
              <th scope="row" className="text-left">
                {catalogue.checkpoints.find((c) => c.id === m.id)?.label}
              </th>
              <td>
                {m.time.toFixed(2)} s ± {Math.round(m.uncertainty)} ms, {FROM[m.from] ?? m.from}
              </td>
              {columns.map((c) => {
                const r = of(c, m.id);
                return (
                  <td key={c}>
                    {r ? `${r.value.toFixed(0)} ± ${Math.max(1, Math.round(2 * r.uncertainty))}` : ""}
                  </td>
                );
              })}
              <td>{corridors[m.id]?.join("–")}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Wide>
  );
}
