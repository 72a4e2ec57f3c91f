import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { Note } from "@/ui/Notice";

/** A junior practises with an adult's knowledge: who that is, asked once. */
export function Adult({ adult }: { adult?: string | null }) {
  const client = useQueryClient();
  const [name, setName] = useState("");
  const tell = useMutation({
    mutationFn: () => api.put<void>("/api/me/adult", { name }),
    onSuccess: () => client.invalidateQueries({ queryKey: queries.me().queryKey }),
  });
  if (adult) return <Note>{adult} knows that you practise. Say so before you begin.</Note>;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    tell.mutate();
  };
  return (
    <form onSubmit={submit} className="border-warn grid gap-3 border-l-4 pl-3">
      <p>Before you practise, an adult should know about it. Ask one to read your plan with you.</p>
      <Field label="Which adult knows?" error={tell.error?.message}>
        {(props) => (
          <input {...props} required maxLength={100} value={name} onChange={(e) => setName(e.target.value)} />
        )}
      </Field>
      <Button weight="main" type="submit" disabled={tell.isPending || name.trim() === ""}>
        This adult knows
      </Button>
    </form>
  );
}
