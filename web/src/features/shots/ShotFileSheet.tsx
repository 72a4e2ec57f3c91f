import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { queries, useCatalogue } from "@/api/queries";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";
import { inDigits } from "@/ui/number";
import { scaleOf, toSaid } from "@/ui/units";
import { ColumnsForm } from "./ColumnsForm";
import { Wide } from "@/ui/Wide";

/** A chosen file; `at` tells one choosing from the next. */
export type Picked = { name: string; text: string; at: number };
type Columns = Wire["ColumnsEntry"];
type Look = Wire["LookView"];

/** What is in a file, before any of it is taken. */
export function ShotFileSheet({
  lessonId,
  moment,
  picked,
  onTaken,
  onClose,
}: {
  lessonId: string;
  /** Before, after, or the name of what was tried. */
  moment: string;
  picked: Picked;
  onTaken: () => void;
  onClose: () => void;
}) {
  const [columns, setColumns] = useState<Columns>();
  const [club, setClub] = useState<string>();
  const look = useQuery(queries.shotLook(lessonId, picked, columns));
  const take = useMutation({
    mutationFn: (seen: Look) =>
      api.post(`/api/lessons/${lessonId}/shot-files`, {
        name: picked.name.slice(0, 120),
        moment,
        leaveOut: true,
        club: club ?? null,
        file: { text: picked.text, columns: seen.columns },
      }),
    onSuccess: onTaken,
  });
  const seen = look.data;
  const chosen = seen?.clubs.filter((c) => club === undefined || c.club === club) ?? [];
  const balls = chosen.reduce((sum, c) => sum + c.balls, 0);
  return (
    <Sheet title={picked.name} open onOpenChange={(open) => !open && onClose()}>
      {(look.isPending || take.isPending) && (
        <p role="status" className="grid gap-1">
          {take.isPending ? "Taking the balls in …" : "Reading every row …"}
          <progress aria-label="Working" className="w-full" />
        </p>
      )}
      {look.isError && <Failed error={look.error} />}
      {take.isError && <Failed error={take.error} />}
      {seen && (
        <>
          <ColumnsForm look={seen} onChange={setColumns} />
          {seen.remembered && (
            <p className="text-soft text-sm">Columns as with the last file of this shape.</p>
          )}
          {seen.broken > 0 && <Broken look={seen} />}
          {seen.clubs.length > 1 && (
            <label className="flex items-center gap-2">
              <span className="font-semibold">Take</span>
              <select
                value={club ?? "*"}
                onChange={(e) => setClub(e.target.value === "*" ? undefined : e.target.value)}
              >
                <option value="*">every club</option>
                {seen.clubs.map((c) => (
                  <option key={c.club} value={c.club}>
                    {c.club || "without a club"} ({c.balls})
                  </option>
                ))}
              </select>
            </label>
          )}
          <Clubs clubs={chosen} />
          <div className="bg-sheet border-line sticky -bottom-6 -mx-6 -mb-6 flex flex-wrap gap-3 border-t px-6 py-3">
            <Button
              weight="main"
              disabled={balls === 0 || take.isPending || look.isFetching}
              onClick={() => take.mutate(seen)}
            >
              Take {balls} {balls === 1 ? "ball" : "balls"}
              {seen.broken > 0 && `, leave ${seen.broken} ${seen.broken === 1 ? "row" : "rows"} out`}
            </Button>
            <Button weight="quiet" onClick={onClose}>
              Leave it
            </Button>
          </div>
        </>
      )}
    </Sheet>
  );
}

function Broken({ look }: { look: Look }) {
  return (
    <details open className="border-warn border-l-4 pl-3">
      <summary className="font-semibold">
        {look.broken} {look.broken === 1 ? "row" : "rows"} cannot be read
      </summary>
      <ul className="max-h-40 overflow-y-auto text-sm">
        {look.shownBroken.map((b) => (
          <li key={`${b.row} ${b.column} ${b.reason}`}>
            Row {b.row}
            {b.column && `, ${b.column}`}: {b.reason}
          </li>
        ))}
        {look.broken > look.shownBroken.length && <li>And {look.broken - look.shownBroken.length} more.</li>}
      </ul>
    </details>
  );
}

function Clubs({ clubs }: { clubs: Look["clubs"] }) {
  const scales = useCatalogue("right").data?.scales ?? {};
  if (clubs.length === 0) return null;
  return (
    <Wide label="Balls of the file">
      <table className="w-full border-collapse text-left text-sm">
        <thead className="text-soft">
          <tr>
            {["Club", "Balls", "Figure", "Mean", "Median"].map((head) => (
              <th key={head} className="pr-3 font-normal">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {clubs.flatMap((club) =>
            club.figures.map((figure, index) => (
              <tr key={club.club + figure.figure} className="border-line border-t">
                <td className="pr-3">{index === 0 && (club.club || "–")}</td>
                <td className="pr-3">{index === 0 && club.balls}</td>
                <td className="pr-3">{figure.label}</td>
                <td className="pr-3">
                  {inDigits(toSaid(figure.mean, scaleOf(scales, figure.unit)))}{" "}
                  {scaleOf(scales, figure.unit).unit}
                </td>
                <td>
                  {inDigits(toSaid(figure.median, scaleOf(scales, figure.unit)))}{" "}
                  {scaleOf(scales, figure.unit).unit}
                </td>
              </tr>
            )),
          )}
        </tbody>
      </table>
    </Wide>
  );
}
