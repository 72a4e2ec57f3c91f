import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { X } from "lucide-react";
import { type FormEvent, useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Lesson, StoredPlan, Wire } from "@/api/types";
import { Button } from "@/ui/Button";
import { IconButton } from "@/ui/IconButton";
import { Failed } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";
import type { PlanWork } from "./usePlanTerms";

type Template = Wire["StoredTemplate"];

/** Keeping a plan as a starting point, and starting from one: the planner fits it to this student. */
export function TemplateTools({
  lesson,
  plan,
  work,
}: {
  lesson: Lesson;
  plan: StoredPlan | undefined;
  work: PlanWork;
}) {
  const [open, setOpen] = useState(false);
  const templates = useQuery(queries.templates());
  const list = templates.data ?? [];
  if (!plan && list.length === 0) return null;
  return (
    <>
      <Button weight="quiet" onClick={() => setOpen(true)}>
        Starting points
      </Button>
      <Sheet title="Starting points" open={open} onOpenChange={setOpen}>
        <Kept
          list={list}
          busy={work.busy}
          onUse={(template) => {
            work.startFrom(template.id);
            setOpen(false);
          }}
        />
        {plan && <KeepForm lesson={lesson} />}
      </Sheet>
    </>
  );
}

function Kept({ list, busy, onUse }: { list: Template[]; busy: boolean; onUse: (t: Template) => void }) {
  const client = useQueryClient();
  const forget = useMutation({
    mutationFn: (id: string) => api.delete(`/api/templates/${id}`),
    onSuccess: () => client.invalidateQueries({ queryKey: queries.templates().queryKey }),
  });
  const share = useMutation({
    mutationFn: (template: Template) =>
      api.put<void>(`/api/templates/${template.id}/shared`, { shared: !template.shared }),
    onSuccess: () => client.invalidateQueries({ queryKey: queries.templates().queryKey }),
  });
  if (list.length === 0) return <p className="text-soft">None kept yet.</p>;
  return (
    <ul>
      {list.map((template) => (
        <li key={template.id} className="border-line flex items-center gap-2 border-b py-1.5">
          <span className="flex-1">
            <strong>{template.name}</strong>
            <span className="text-soft block text-sm">
              {template.days} days, {template.edits.chosen.length} rungs
              {template.coach && `, shared by ${template.coach}`}
            </span>
          </span>
          <Button disabled={busy} aria-label={`Start from ${template.name}`} onClick={() => onUse(template)}>
            Start from it
          </Button>
          {!template.coach && (
            <Button
              weight="quiet"
              aria-pressed={template.shared}
              disabled={share.isPending}
              aria-label={`Share ${template.name} with the academy`}
              onClick={() => share.mutate(template)}
            >
              {template.shared ? "Shared" : "Share"}
            </Button>
          )}
          {!template.coach && (
            <IconButton
              label={`Forget ${template.name}`}
              disabled={forget.isPending}
              onClick={() => forget.mutate(template.id)}
            >
              <X aria-hidden className="size-4" />
            </IconButton>
          )}
        </li>
      ))}
    </ul>
  );
}

function KeepForm({ lesson }: { lesson: Lesson }) {
  const [name, setName] = useState("");
  const client = useQueryClient();
  const keep = useMutation({
    mutationFn: () => api.post<Template>("/api/templates", { lessonId: lesson.id, name }),
    onSuccess: () => {
      setName("");
      return client.invalidateQueries({ queryKey: queries.templates().queryKey });
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    keep.mutate();
  };
  return (
    <form onSubmit={submit} className="grid gap-2">
      <label className="grid gap-1">
        <span className="font-semibold">Keep this plan as</span>
        <input
          required
          maxLength={80}
          value={name}
          placeholder="Sway, two weeks"
          onChange={(e) => setName(e.target.value)}
        />
      </label>
      <p className="text-soft text-sm">
        Its drills, left-out rungs and length are kept, not its days. Another student gets what fits.
      </p>
      {keep.isError && <Failed error={keep.error} />}
      <Button
        type="submit"
        weight="main"
        className="justify-self-start"
        disabled={keep.isPending || !name.trim()}
      >
        Keep it
      </Button>
    </form>
  );
}
