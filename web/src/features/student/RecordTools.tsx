import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useNavigate } from "react-router";
import { api, Problem } from "@/api/client";
import { queries } from "@/api/queries";
import type { Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { FileButton, FileRefused, jsonOf } from "@/ui/FileButton";
import { Failed } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";

const LINK =
  "border-strong-line bg-sheet hover:bg-tint inline-flex min-h-11 items-center rounded-md border px-4 font-semibold no-underline";

/** A student's whole record: out as files, or erased. */
export function RecordTools({ studentId, name }: { studentId: string; name: string }) {
  const [erasing, setErasing] = useState(false);
  return (
    <section aria-labelledby="record" className="border-line grid gap-3 border-t pt-5">
      <h2 id="record">The record</h2>
      <p className="text-soft">
        All that is kept: profile, lessons, decisions, plans, practice, measured balls, swings from the plate,
        clips with their stills and films; and beside it the e-mail, letters, and who looked. The file can be
        taken in on another installation.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <a className={LINK} href={`/api/students/${studentId}/record`} download>
          As one file (JSON)
        </a>
        <a className={LINK} href={`/api/students/${studentId}/record.zip`} download>
          As tables (CSV)
        </a>
        <a className="text-soft text-sm" href="/api/records/schema">
          What the file looks like
        </a>
        <Button weight="quiet" className="text-alert ml-auto" onClick={() => setErasing(true)}>
          Erase the record
        </Button>
      </div>
      <Sheet title={`Erase ${name}?`} open={erasing} onOpenChange={setErasing}>
        <Erase studentId={studentId} name={name} onClose={() => setErasing(false)} />
      </Sheet>
    </section>
  );
}

function Erase({ studentId, name, onClose }: { studentId: string; name: string; onClose: () => void }) {
  const [typed, setTyped] = useState("");
  const client = useQueryClient();
  const navigate = useNavigate();
  const erase = useMutation({
    mutationFn: () => api.post(`/api/students/${studentId}/erasure`, { name: typed }),
    onSuccess: async () => {
      await navigate("/students");
      client.removeQueries({ queryKey: ["students", studentId] });
      // Lessons of the erased student may lie in memory under their own ids.
      client.removeQueries({ queryKey: ["lessons"] });
      await client.invalidateQueries();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    erase.mutate();
  };
  const wrong =
    erase.error instanceof Problem && erase.error.fields.length > 0 ? erase.error.message : undefined;
  return (
    <form onSubmit={submit} className="grid gap-4">
      <p>
        Lessons, plans, practice, notes and the account go for good; only that a record was erased today
        stays. Take the file out first if it may be wanted again. Copies you made yourself, such as backups,
        are yours to delete.
      </p>
      <Field label={`Type “${name}”`} error={wrong}>
        {(props) => (
          <input
            {...props}
            required
            value={typed}
            autoComplete="off"
            onChange={(e) => setTyped(e.target.value)}
          />
        )}
      </Field>
      {erase.isError && !wrong && <Failed error={erase.error} />}
      <div className="flex gap-3">
        <Button type="submit" weight="main" disabled={erase.isPending}>
          Erase for good
        </Button>
        <Button weight="quiet" onClick={onClose}>
          Keep it
        </Button>
      </div>
    </form>
  );
}

/** Takes a student's record in that another installation wrote. */
export function TakeRecord() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const erasures = useQuery(queries.erasures());
  const take = useMutation({
    mutationFn: async (file: File) => api.post<Wire["Taken"]>("/api/records", await jsonOf(file)),
    onSuccess: async (taken) => {
      await client.invalidateQueries({ queryKey: ["students"] });
      navigate(`/students/${taken.id}`);
    },
  });
  const erased = erasures.data?.length ?? 0;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <FileButton
        label="Record file"
        accept=".json,application/json"
        weight="quiet"
        disabled={take.isPending}
        onFile={(file) => take.mutate(file)}
      >
        {take.isPending ? "Taking it in …" : "Take in a record"}
      </FileButton>
      {erased > 0 && (
        <span className="text-soft text-sm">
          {erased === 1 ? "One record was" : `${erased} records were`} erased.
        </span>
      )}
      {take.isError && <FileRefused error={take.error} />}
    </div>
  );
}
