import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api } from "@/api/client";
import { ButtonLink } from "@/ui/Button";
import { FileButton, FileRefused, jsonOf } from "@/ui/FileButton";

/** A new drill, and the coach's own drills in and out as a file. */
export function LibraryFiles({ own }: { own: number }) {
  const client = useQueryClient();
  const take = useMutation({
    mutationFn: async (file: File) => api.post<{ drills: number }>("/api/drills/own", await jsonOf(file)),
    onSuccess: () => client.invalidateQueries({ queryKey: ["catalogue"] }),
  });
  return (
    <div className="flex flex-wrap items-center gap-2">
      <ButtonLink to="/drills/new">New drill</ButtonLink>
      <FileButton
        label="Drill file"
        accept=".json,application/json"
        weight="quiet"
        onFile={(file) => take.mutate(file)}
      >
        Take in a file
      </FileButton>
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
      {take.isError && <FileRefused error={take.error} />}
    </div>
  );
}
