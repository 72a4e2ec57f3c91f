import { useMutation, useQuery } from "@tanstack/react-query";
import Papa from "papaparse";
import { useEffect, useRef, useState } from "react";
import { api } from "@/api/client";
import type { MomentName, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed, Loading, Note } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";
import { Spark } from "./Spark";
import { type Columns, headingLine, rateOf, rowReader, SHAPES, shapeOf } from "./traceRows";

/** So many bytes are read at a time, and so many rows of a file looked at first. */
const CHUNK = 512 * 1024;
const LOOKED_AT = 400;
const SENT_AT_ONCE = 5000;
const WRONG_SHOWN = 5;

type Look = { heading: string[]; begins: number; rows: string[][] };
type Found = Wire["FoundSwing"];
type Wrong = { line: number; what: string };

function lookAt(file: File): Promise<Look> {
  return new Promise((resolve, reject) =>
    Papa.parse<string[]>(file, {
      preview: LOOKED_AT,
      skipEmptyLines: "greedy",
      complete: ({ data }) => {
        const line = headingLine(data);
        if (line < 0) reject(new Error("No table of numbers under a line of names is in this file."));
        else resolve({ heading: data[line]!, begins: line + 1, rows: data.slice(line + 1) });
      },
      error: reject,
    }),
  );
}

/** A file with loads: what its columns mean, the swings found in it, and which of them are taken. */
export function TraceFileSheet({
  lessonId,
  stage,
  file,
  onTaken,
  onClose,
}: {
  lessonId: string;
  stage: MomentName;
  file: File;
  onTaken: () => void;
  onClose: () => void;
}) {
  const look = useQuery({
    queryKey: ["trace-file", file.name, file.lastModified, file.size],
    queryFn: async () => {
      const seen = await lookAt(file);
      const shape = await api.post<Wire["TraceShapeView"]>("/api/trace-shapes", { heading: seen.heading });
      return { ...seen, ...shape };
    },
    gcTime: 0,
    retry: false,
  });
  const [own, setOwn] = useState<Columns>();
  const [shapeId, setShape] = useState<string>();
  const [said, setSaid] = useState<number>();
  const run = useImport(lessonId, stage, file);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const take = useMutation({ mutationFn: () => run.take([...left]), onSuccess: onTaken });
  const columns = own ?? look.data?.columns;
  const told =
    look.data && columns?.time !== null && columns?.time !== undefined
      ? rateOf(look.data.rows, columns.time, columns.perSecond)
      : undefined;
  const rate = told ?? said;
  const shape = columns && SHAPES.find((s) => s.id === (shapeId ?? shapeOf(columns)))!;
  const whole = shape?.channels.every((c) => columns!.channels[c] !== undefined);
  const takes = run.found.filter((f) => !left.has(f.number)).length;
  const close = () => {
    run.stop();
    onClose();
  };
  return (
    <Sheet title={file.name} open onOpenChange={(open) => !open && close()}>
      {look.isPending && <Loading what="Looking at the file" />}
      {look.isError && <Failed error={look.error} />}
      {look.data && columns && shape && (
        <>
          <ColumnsOfTrace
            heading={look.data.heading}
            columns={columns}
            shape={shape}
            onShape={setShape}
            disabled={run.state !== "idle"}
            onChange={setOwn}
          />
          {told === undefined ? (
            <label className="flex flex-wrap items-center gap-2">
              <span className="font-semibold">Samples a second</span>
              <input
                type="number"
                className="w-24"
                min={50}
                max={1000}
                disabled={run.state !== "idle"}
                value={said ?? ""}
                onChange={(e) => setSaid(e.target.value ? Number(e.target.value) : undefined)}
              />
            </label>
          ) : (
            <p className="text-soft text-sm">
              {Math.round(told)} samples a second, by the times in it
              {look.data.remembered && !own && "; columns as with the last file of this shape"}.
            </p>
          )}
          {run.state === "idle" ? (
            <Button
              weight="main"
              disabled={!whole || !rate || rate < 50 || rate > 1000}
              onClick={() => run.begin(look.data, columns, shape.channels, rate!)}
            >
              Look for swings
            </Button>
          ) : (
            <>
              <p role="status" className="grid gap-1">
                {run.state === "reading"
                  ? `Reading: ${run.found.length} swings so far …`
                  : `${run.found.length} ${run.found.length === 1 ? "swing" : "swings"} in ${run.rows.toLocaleString("en")} rows.`}
                <progress aria-label="Read so far" className="accent-ink w-full" max={1} value={run.part} />
              </p>
              {run.wrongs > 0 && (
                <Note tone="alert">
                  {run.wrongs} {run.wrongs === 1 ? "row was" : "rows were"} left out:{" "}
                  {run.wrong.map((w) => `line ${w.line} ${w.what}`).join("; ")}
                  {run.wrongs > WRONG_SHOWN && " …"}
                </Note>
              )}
              {run.error && <Failed error={run.error} />}
              <ul className="grid gap-1">
                {run.found.map((f) => (
                  <li key={f.number}>
                    <label className="border-line flex min-h-11 items-center gap-3 border-b">
                      <input
                        type="checkbox"
                        className="size-5"
                        checked={!left.has(f.number)}
                        onChange={() =>
                          setLeft((was) => {
                            const next = new Set(was);
                            if (!next.delete(f.number)) next.add(f.number);
                            return next;
                          })
                        }
                      />
                      <span className="w-8 font-semibold tabular-nums">{f.number + 1}</span>
                      <Spark values={f.spark} />
                      <span className="text-soft text-sm">
                        {f.seconds.toFixed(1)} s{f.warnings > 0 && `, ${f.warnings} said against it`}
                      </span>
                    </label>
                  </li>
                ))}
              </ul>
              {run.state === "read" && run.found.length === 0 && (
                <p>
                  No swing was found. Are the feet the right way round? A swing goes over to the lead foot,
                  and begins and ends at rest.
                </p>
              )}
              {take.isError && <Failed error={take.error} />}
              <div className="bg-sheet border-line sticky -bottom-6 -mx-6 -mb-6 flex flex-wrap gap-3 border-t px-6 py-3">
                <Button
                  weight="main"
                  disabled={run.state !== "read" || takes === 0 || take.isPending}
                  onClick={() => take.mutate()}
                >
                  Take {takes} {takes === 1 ? "swing" : "swings"}
                </Button>
                <Button onClick={close}>Cancel</Button>
              </div>
            </>
          )}
        </>
      )}
    </Sheet>
  );
}

/** Reads a file piece by piece and sends its rows; never the whole of it is held. */
function useImport(lessonId: string, stage: MomentName, file: File) {
  const [state, setState] = useState<"idle" | "reading" | "read">("idle");
  const [found, setFound] = useState<Found[]>([]);
  const [wrong, setWrong] = useState<Wrong[]>([]);
  const [wrongs, setWrongs] = useState(0);
  const [rows, setRows] = useState(0);
  const [part, setPart] = useState(0);
  const [error, setError] = useState<Error>();
  const running = useRef<string>(undefined);
  const parser = useRef<Papa.Parser>(undefined);
  const stop = () => {
    parser.current?.abort();
    if (running.current) void api.delete(`/api/trace-imports/${running.current}`).catch(() => undefined);
    running.current = undefined;
  };
  useEffect(() => () => parser.current?.abort(), []);

  const begin = async (look: Look, columns: Columns, channels: string[], rate: number) => {
    setState("reading");
    try {
      const begun = await api.post<Wire["TraceImportBegun"]>(`/api/lessons/${lessonId}/trace-imports`, {
        name: file.name.slice(0, 120),
        stage,
        rate,
        heading: look.heading,
        columns: { ...columns, channels: Object.fromEntries(channels.map((c) => [c, columns.channels[c]])) },
      });
      running.current = begun.id;
      const read = rowReader(columns, begun.channels, rate);
      let line = 0;
      const send = async (pieces: string[][]) => {
        const good: (number | null)[][] = [];
        const bad: Wrong[] = [];
        for (const cells of pieces) {
          line++;
          if (line <= look.begins) continue;
          const one = read(cells);
          if ("row" in one) good.push(one.row);
          else bad.push({ line, what: one.wrong });
        }
        for (let i = 0; i < good.length; i += SENT_AT_ONCE) {
          const fresh = await api.post<Found[]>(`/api/trace-imports/${begun.id}/rows`, {
            rows: good.slice(i, i + SENT_AT_ONCE),
          });
          if (fresh.length > 0) setFound((was) => [...was, ...fresh]);
        }
        setRows((n) => n + good.length);
        setWrongs((n) => n + bad.length);
        setWrong((was) => [...was, ...bad].slice(0, WRONG_SHOWN));
      };
      await new Promise<void>((resolve, reject) =>
        Papa.parse<string[]>(file, {
          skipEmptyLines: "greedy",
          chunkSize: CHUNK,
          chunk: ({ data, meta }, at) => {
            parser.current = at;
            at.pause();
            send(data).then(() => {
              setPart(Math.min(1, meta.cursor / file.size));
              at.resume();
            }, reject);
          },
          complete: () => resolve(),
          error: reject,
        }),
      );
      setPart(1);
    } catch (failed) {
      setError(failed as Error);
    }
    setState("read");
  };
  const take = async (leaveOut: number[]) => {
    await api.post<void>(`/api/trace-imports/${running.current}/take`, { leaveOut });
    running.current = undefined;
  };
  return { state, found, wrong, wrongs, rows, part, error, begin, take, stop };
}

const UNITS = [
  { id: "newton", label: "N" },
  { id: "kilogram", label: "kg" },
  { id: "pound", label: "lb" },
  { id: "percent", label: "%" },
];

/** Which column is what. */
function ColumnsOfTrace({
  heading,
  columns,
  shape,
  onShape,
  disabled,
  onChange,
}: {
  heading: string[];
  columns: Columns;
  shape: (typeof SHAPES)[number];
  onShape: (id: string) => void;
  disabled: boolean;
  onChange: (columns: Columns) => void;
}) {
  const select = (label: string, value: number | null | undefined, set: (to: number | null) => void) => (
    <label key={label} className="grid">
      <span className="text-soft text-sm">{label.replaceAll("-", " ")}</span>
      <select
        disabled={disabled}
        value={value ?? ""}
        onChange={(e) => set(e.target.value === "" ? null : Number(e.target.value))}
      >
        <option value="">none</option>
        {heading.map((h, i) => (
          <option key={i} value={i}>
            {h || `column ${i + 1}`}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <fieldset className="grid gap-3">
      <legend className="font-semibold">What the columns are</legend>
      <div className="flex flex-wrap items-end gap-3">
        <label className="grid">
          <span className="text-soft text-sm">Loads</span>
          <select
            disabled={disabled}
            value={shape.id}
            onChange={(e) => {
              onShape(e.target.value);
              const channels = SHAPES.find((s) => s.id === e.target.value)!.channels;
              onChange({
                ...columns,
                channels: Object.fromEntries(
                  channels
                    .filter((c) => columns.channels[c] !== undefined)
                    .map((c) => [c, columns.channels[c]!]),
                ),
              });
            }}
          >
            {SHAPES.map((s) => (
              <option key={s.id} value={s.id}>
                {s.label}
              </option>
            ))}
          </select>
        </label>
        <label className="grid">
          <span className="text-soft text-sm">Unit</span>
          <select
            disabled={disabled}
            value={columns.unit}
            onChange={(e) => onChange({ ...columns, unit: e.target.value })}
          >
            {UNITS.map((u) => (
              <option key={u.id} value={u.id}>
                {u.label}
              </option>
            ))}
          </select>
        </label>
        {select("Time", columns.time, (time) => onChange({ ...columns, time: time ?? undefined }))}
        {columns.time !== null && columns.time !== undefined && (
          <label className="grid">
            <span className="text-soft text-sm">Time in</span>
            <select
              disabled={disabled}
              value={columns.perSecond}
              onChange={(e) => onChange({ ...columns, perSecond: Number(e.target.value) })}
            >
              <option value={1}>seconds</option>
              <option value={1000}>milliseconds</option>
            </select>
          </label>
        )}
      </div>
      <div className="flex flex-wrap gap-3">
        {shape.channels.map((c) =>
          select(c, columns.channels[c], (to) => {
            const channels = { ...columns.channels };
            delete channels[c];
            if (to !== null) channels[c] = to;
            onChange({ ...columns, channels });
          }),
        )}
      </div>
    </fieldset>
  );
}
