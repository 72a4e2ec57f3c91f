import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api, Problem } from "@/api/client";
import { same } from "@/api/merge";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Student, StudentProfile } from "@/api/types";
import { useMeanwhile } from "@/api/useMeanwhile";
import { AskBeforeLeaving, SAVED } from "@/ui/AskBeforeLeaving";
import { Button } from "@/ui/Button";
import { Choice } from "@/ui/Choice";
import { Field } from "@/ui/Field";
import { Meanwhile } from "@/ui/Meanwhile";
import { Failed, Loading } from "@/ui/Notice";
import { MetricField } from "@/ui/MetricField";
import { OtherCoaches } from "../academy/OtherCoaches";
import { PasswordSheet } from "../invite/InviteSheet";
import { RecordTools } from "./RecordTools";
import { LookChoice } from "./LookChoice";
import { Grounds, WeekFields } from "./WeekFields";
import { Title } from "@/ui/Title";
import { scaleOf } from "@/ui/units";

const NEW: StudentProfile = {
  name: "",
  handedness: "right",
  level: "improver",
  ageBand: "adult",
  shoes: "soft",
  units: "metric",
  complaint: "",
  flags: [],
  kit: [],
  week: {},
};

const PARTS: Record<string, string> = {
  name: "the name",
  complaint: "what they complain of",
  handedness: "the hand",
  level: "the level",
  ageBand: "the age",
  shoes: "the shoes",
  units: "the units",
  flags: "joints to take care of",
  kit: "the kit",
  week: "the week",
  height: "the height",
  look: "the golfer's look",
};

function inWords(path: string): string {
  return PARTS[path.split(".")[0] ?? ""] ?? path;
}

/** A new student, or the details of one. */
export default function StudentFormPage() {
  const { id } = useParams();
  const catalogue = useCatalogue("right");
  const student = useQuery({ ...queries.student(id ?? ""), enabled: id !== undefined });
  const own = student.data?.own ?? false;
  if (catalogue.isPending || (id && student.isPending)) return <Loading />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  if (student.isError) return <Failed error={student.error} again={() => student.refetch()} />;
  return (
    <div className="mx-auto grid max-w-5xl gap-10">
      <StudentForm
        id={id}
        initial={student.data?.profile ?? NEW}
        version={student.data?.version ?? 0}
        catalogue={catalogue.data}
      />
      {id && student.data && own && (
        <>
          {student.data.signedUp && (
            <section
              aria-labelledby="phone"
              className="border-line grid justify-items-start gap-2 border-t pt-5"
            >
              <h2 id="phone">The phone</h2>
              <PasswordSheet studentId={id} name={student.data.profile.name} />
            </section>
          )}
          <OtherCoaches studentId={id} />
          <RecordTools studentId={id} name={student.data.profile.name} />
        </>
      )}
    </div>
  );
}

function StudentForm({
  id,
  initial,
  version,
  catalogue,
}: {
  id?: string;
  initial: StudentProfile;
  version: number;
  catalogue: Catalogue;
}) {
  const [profile, setProfile] = useState(initial);
  const length = scaleOf(catalogue.scales, "cm");
  const navigate = useNavigate();
  const client = useQueryClient();
  const meanwhile = useMeanwhile({ value: initial, version });
  const save = useMutation({
    mutationFn: (entry: StudentProfile) =>
      id
        ? meanwhile.save<Student>(
            entry,
            (seen) => api.put<Student>(`/api/students/${id}`, entry, { seen }),
            (student) => ({ value: student.profile, version: student.version }),
            setProfile,
          )
        : api.post<Student>("/api/students", entry),
    onSuccess: (student) => {
      // Changed meanwhile: both are in the form now, to be looked at and saved.
      if (!student) return;
      client.invalidateQueries({ queryKey: ["students"] });
      navigate(`/students/${student.id}`, SAVED);
    },
  });
  const set = (part: Partial<StudentProfile>) => setProfile({ ...profile, ...part });
  const problems = save.error instanceof Problem ? save.error.fields : [];
  const wrong = (field: string) => problems.find((f) => f.field === field)?.message;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate(profile);
  };

  return (
    <form onSubmit={submit} className="grid gap-6">
      <AskBeforeLeaving when={!same(profile, initial)} />
      <Title>{id ? `Details: ${initial.name}` : "New student"}</Title>
      <h1>{id ? `Details of ${initial.name}` : "New student"}</h1>
      <Meanwhile changed={[...new Set(meanwhile.changed.map(inWords))]} onSeen={meanwhile.seen} />
      <div className="grid gap-x-12 gap-y-5 lg:grid-cols-2">
        <div className="grid content-start gap-5">
          <Field label="Name" error={wrong("name")}>
            {(p) => (
              <input
                {...p}
                required
                maxLength={100}
                autoFocus={!id}
                value={profile.name}
                onChange={(e) => set({ name: e.target.value })}
              />
            )}
          </Field>
          <Field label="What they complain of" error={wrong("complaint")}>
            {(p) => (
              <input
                {...p}
                maxLength={500}
                placeholder="e.g. slices the driver"
                value={profile.complaint}
                onChange={(e) => set({ complaint: e.target.value })}
              />
            )}
          </Field>
          <Labelled label="Plays">
            <Choice
              label="Plays"
              value={profile.handedness}
              options={[
                { id: "right", label: "Right-handed" },
                { id: "left", label: "Left-handed" },
              ]}
              onChange={(handedness) => set({ handedness })}
            />
          </Labelled>
          <Labelled label="Level">
            <Choice
              label="Level"
              value={profile.level}
              options={catalogue.levels}
              onChange={(level) => set({ level })}
            />
          </Labelled>
          <Labelled label="Age">
            <Choice
              label="Age"
              value={profile.ageBand}
              options={catalogue.ageBands}
              onChange={(ageBand) => set({ ageBand })}
            />
          </Labelled>
          <Labelled label="Practises in">
            <Choice
              label="Practises in"
              value={profile.shoes}
              options={catalogue.shoes}
              onChange={(shoes) => set({ shoes })}
            />
          </Labelled>
          <Field label="Height" hint="Gives films their scale." error={wrong("height")}>
            {(p) => (
              <span className="flex items-center gap-2">
                <MetricField
                  {...p}
                  value={profile.height ?? null}
                  lowest={100}
                  highest={230}
                  decimals={1}
                  scale={length}
                  onChange={(height) => set({ height: height ?? undefined })}
                />
                {length.unit}
              </span>
            )}
          </Field>
          <Labelled label="Golfer">
            <LookChoice profile={profile} onChange={(look) => set({ look })} />
          </Labelled>
          <Labelled label="Units">
            <Choice
              label="Units"
              value={profile.units}
              options={[
                { id: "metric", label: "Metric" },
                { id: "imperial", label: "Imperial" },
              ]}
              onChange={(units) => set({ units })}
            />
          </Labelled>
        </div>
        <div className="grid content-start gap-5">
          <WeekFields
            week={profile.week}
            places={catalogue.places}
            onChange={(week) => set({ week })}
            error={problems.find((f) => f.field.startsWith("week"))?.message}
          />
          <Grounds profile={profile} catalogue={catalogue} onChange={(grounds) => set({ grounds })} />
          <Ticks
            label="Joints to take care of"
            hint="Drills that load them are left out or halved. Ask; a physiotherapist's word comes before any plan."
            options={catalogue.joints}
            chosen={profile.flags}
            onChange={(flags) => set({ flags })}
          />
          <Ticks
            label="Has at hand"
            hint="Clubs, tees, balls and a glove are taken as there."
            options={catalogue.equipment.filter((item) => !item.usual)}
            chosen={profile.kit}
            onChange={(kit) => set({ kit })}
          />
        </div>
      </div>
      {save.isError && problems.length === 0 && <Failed error={save.error} />}
      <div className="flex gap-3">
        <Button type="submit" weight="main" disabled={save.isPending}>
          {id ? "Save" : "Add student"}
        </Button>
        <Button weight="quiet" onClick={() => navigate(-1)}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

function Labelled({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="grid justify-items-start gap-1">
      <span className="font-semibold" aria-hidden>
        {label}
      </span>
      {children}
    </div>
  );
}

function Ticks({
  label,
  hint,
  options,
  chosen,
  onChange,
}: {
  label: string;
  hint?: string;
  options: { id: string; label: string }[];
  chosen: string[];
  onChange: (ids: string[]) => void;
}) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{label}</legend>
      <div className="grid grid-cols-2 gap-x-4">
        {options.map((option) => (
          <label key={option.id} className="flex min-h-8 items-center gap-2">
            <input
              type="checkbox"
              checked={chosen.includes(option.id)}
              onChange={(e) =>
                onChange(e.target.checked ? [...chosen, option.id] : chosen.filter((id) => id !== option.id))
              }
            />
            {option.label}
          </label>
        ))}
      </div>
      {hint && <p className="text-soft mt-1 text-sm">{hint}</p>}
    </fieldset>
  );
}
