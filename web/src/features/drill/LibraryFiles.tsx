import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type ChangeEvent, useRef } from "react";
import { api, Problem } from "@/api/client";
import { Button, ButtonLink } from "@/ui/Button";

/** A new drill, and the coach's own drills in and out as a file. */
export function LibraryFiles({ own }: { own: number }) {
  const input = useRef<HTMLInputElement>(null);
  const client = useQueryClient();
  const take = useMutation({
    mutationFn: async (file: File) => {
      let drills: unknown;
      try {
        drills = JSON.parse(await file.text());
      } catch {
        throw new Problem(0, `${file.name} is no JSON file.`);
      }
      return api.post<{ drills: number }>("/api/drills/own", drills);
    },
    onSuccess: () => client.invalidateQueries({ queryKey: ["catalogue"] }),
  });
  const picked = (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    if (file) take.mutate(file);
    event.target.value = "";
  };
  const problems = take.error instanceof Problem ? take.error.fields : [];
  return (
    <div className="flex flex-wrap items-center gap-2">
      <ButtonLink to="/drills/new">New drill</ButtonLink>
      <Button weight="quiet" onClick={() => input.current?.click()}>
        Take in a file
      </Button>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        aria-label="Drill file"
        className="sr-only"
        tabIndex={-1}
        onChange={picked}
      />
      {own > 0 && (
        <a
          href="/api/drills/own"
          download="drills.json"
          className="hover:bg-tint inline-flex min-h-11 items-center rounded-md px-4 font-semibold no-underline"
        >
          My own as a file
        </a>
      )}
      <a href="/api/drills/schema" className="text-soft text-sm">
        What a file looks like
      </a>
      {take.isSuccess && <p role="status">{take.data.drills} taken in.</p>}
      {take.isError && (
        <div role="alert" className="border-alert basis-full border-l-4 pl-3">
          <p>Nothing was taken in. {problems.length === 0 && take.error.message}</p>
          <ul>
            {problems.slice(0, 10).map((p) => (
              <li key={p.field + p.message}>
                <strong>{p.field}</strong> {p.message}
              </li>
            ))}
          </ul>
          {problems.length > 10 && <p>And {problems.length - 10} more.</p>}
        </div>
      )}
    </div>
  );
}
