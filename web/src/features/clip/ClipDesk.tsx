import { type ReactNode, useState } from "react";
import type { Catalogue, Hand } from "@/api/types";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { Picture } from "./Picture";
import { Beside, type Other, Over } from "./Against";
import { type Asking, ClipSettings, type Setting } from "./ClipSettings";
import { Seen } from "./Seen";
import { nearest, type Shown } from "./shown";
import { Warnings } from "./Warnings";

/** An iron, from end to end, cm: what lies about on a range. */
const USUAL_MARK = 94;

const USUAL = "[--tall:20rem]";
/** To press a place well. */
const LARGE = "[--tall:34rem]";

/** The film of a swing: scrubbed and stepped, with the lines that are measured, its moments as a strip of stills below. */
export function ClipDesk({
  shown,
  against,
  hand,
  catalogue,
  setting,
  beneath,
}: {
  shown: Shown;
  against?: Other;
  hand: Hand;
  catalogue: Catalogue;
  /** What may be set; nothing where the film is only to be looked at. */
  setting?: Setting;
  /** What goes along with the film, told its time; it may set the film to another, seconds. */
  beneath?: (seconds: number, onSeconds: (seconds: number) => void) => ReactNode;
}) {
  const impact = shown.moments.find((m) => m.id === "top") ?? shown.moments[0];
  const [index, setIndex] = useState(() => nearest(shown.times, impact?.time ?? 0));
  const [chosen, setChosen] = useState<string | undefined>(impact?.id ?? (setting?.asking && "address"));
  const marks = setting?.marks;
  const [marking, setMarking] = useState<[number, number][]>();
  const at = Math.min(index, shown.times.length - 1);
  const seconds = shown.times[at] ?? 0;
  const step = (by: number) => setIndex(Math.max(0, Math.min(shown.times.length - 1, at + by)));
  const goTo = (id: string) => {
    setChosen(id);
    const moment = shown.moments.find((m) => m.id === id);
    if (moment) setIndex(nearest(shown.times, moment.time));
  };
  const moment = shown.moments.find((m) => m.id === chosen);
  // A moment lies between two pictures: the nearer one shows it.
  const off = !moment || nearest(shown.times, moment.time) !== at;
  const asking = chosen !== undefined && (!moment || !off) ? setting?.asking?.(chosen) : undefined;
  const [over, setOver] = useState(false);
  const held = against && { other: against, shown, at, moment: off ? undefined : chosen, hand };
  const alike = against && (!("film" in against) || against.film.view === shown.view);
  const beside = held && !(over && alike);
  return (
    <div className="grid gap-3">
      <Warnings of={shown.warnings} grave />
      {asking && <Asked asking={asking} catalogue={catalogue} moment={chosen!} there={!!moment} />}
      <div
        className={`grid gap-3 ${beside ? "sm:grid-cols-2" : ""}`}
        onWheel={(e) => {
          if (e.deltaY !== 0) step(e.deltaY > 0 ? 1 : -1);
        }}
      >
        <div className={asking?.what ? LARGE : USUAL}>
          <Seen
            shown={shown}
            at={at}
            hand={hand}
            moment={off ? undefined : moment?.id}
            marks={marking ?? (marks ? [marks.from, marks.to] : [])}
            onDrag={
              !marking && !asking?.what && setting?.onFix
                ? (point, by) => setting.onFix!({ at, point, by })
                : undefined
            }
            onPress={
              !marking
                ? asking?.what
                  ? asking.onPlace
                  : undefined
                : (press) => {
                    const next = [...marking, press];
                    if (next.length < 2) return setMarking(next);
                    setMarking(undefined);
                    setting?.onMarks({
                      from: next[0]!,
                      to: next[1]!,
                      centimetres: marks?.centimetres ?? USUAL_MARK,
                    });
                  }
            }
          >
            {held && !beside && (
              <div className="opacity-55">
                <Over {...held} />
              </div>
            )}
          </Seen>
        </div>
        {beside && (
          <>
            <div className={USUAL}>
              <Beside {...held} />
            </div>
            <p className="text-soft text-center text-sm">{shown.name}</p>
            <p className="text-soft text-center text-sm">{held.other.name}</p>
          </>
        )}
      </div>
      {shown.film && (
        <p role="status" className="text-soft text-center text-sm">
          {shown.film === "coming"
            ? "The film is being opened …"
            : "The film cannot be shown here; its stills can."}
        </p>
      )}
      {held && alike && (
        <div className="flex justify-center">
          <Choice
            label="How the two are shown"
            value={over ? "over" : "beside"}
            options={[
              { id: "beside", label: "Side by side" },
              { id: "over", label: "Laid over" },
            ]}
            onChange={(how) => setOver(how === "over")}
          />
        </div>
      )}
      <label className="grid gap-1">
        <span className="sr-only">Picture of the film</span>
        <input
          type="range"
          min={0}
          max={shown.times.length - 1}
          value={at}
          onChange={(e) => setIndex(Number(e.target.value))}
          aria-valuetext={`${seconds.toFixed(3)} s`}
        />
      </label>
      {beneath?.(seconds, (to) => setIndex(nearest(shown.times, to)))}
      <ol className="grid grid-cols-8 gap-1" aria-label="Moments of the swing">
        {catalogue.checkpoints.map((c) => {
          const there = shown.moments.find((m) => m.id === c.id);
          return (
            <li key={c.id}>
              <button
                type="button"
                aria-pressed={chosen === c.id}
                onClick={() => goTo(c.id)}
                className="border-line aria-pressed:border-ink grid w-full justify-items-center rounded border-2 text-sm"
              >
                <Still shown={shown} id={c.id} time={there?.time} hand={hand} />
                <span className={there ? "font-semibold" : "text-soft"}>{c.brief}</span>
                <span className="text-soft text-xs tabular-nums">
                  {there
                    ? `${there.time.toFixed(2)} s${there.from === "corrected" ? " ✎" : ""}`
                    : shown.byHand
                      ? "not set"
                      : "not found"}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
      {setting && (
        <ClipSettings
          setting={setting}
          shown={shown}
          catalogue={catalogue}
          moment={chosen}
          seconds={seconds}
          off={off}
          marking={!!marking}
          onMarking={(begin) => setMarking(begin ? [] : undefined)}
        />
      )}
      <Warnings of={shown.warnings} grave={false} />
    </div>
  );
}

/** What is asked where points are set by hand. */
function Asked({
  asking,
  catalogue,
  moment,
  there,
}: {
  asking: Asking;
  catalogue: Catalogue;
  moment: string;
  there: boolean;
}) {
  const brief = (id: string) => catalogue.checkpoints.find((c) => c.id === id)?.brief ?? id;
  const left = asking.left.filter((id) => id !== moment);
  return (
    <div className="bg-tint flex min-h-13 flex-wrap items-center gap-3 rounded px-3 py-1">
      <p role="status" className="flex-1">
        {!there ? (
          <>
            Go to the picture of <strong>{brief(moment).toLowerCase()}</strong> and say that it is here.
          </>
        ) : asking.what ? (
          <>
            {brief(moment)}: press <strong>{asking.what}</strong>
          </>
        ) : (
          <>
            {brief(moment)} is set.{left.length > 0 && ` Next: ${left.map(brief).join(", ").toLowerCase()}.`}
          </>
        )}
      </p>
      {there && asking.what && <Button onClick={() => asking.onPlace(null)}>Not to be seen</Button>}
      {asking.onBack && (
        <Button weight="quiet" onClick={asking.onBack}>
          One back
        </Button>
      )}
    </div>
  );
}

/** A moment's picture; without one the body as it stands there. */
function Still({ shown, id, time, hand }: { shown: Shown; id: string; time?: number; hand: Hand }) {
  const at = time === undefined ? undefined : nearest(shown.times, time);
  const picture = at === undefined ? undefined : shown.picture(at, id);
  return (
    <span
      aria-hidden
      className="bg-tint block w-full overflow-hidden [--tall:1000rem]"
      style={{ aspectRatio: `${shown.width} / ${shown.height}` }}
    >
      {picture ? (
        <Picture of={picture} />
      ) : (
        at !== undefined && <Seen small shown={shown} at={at} hand={hand} moment={id} />
      )}
    </span>
  );
}
