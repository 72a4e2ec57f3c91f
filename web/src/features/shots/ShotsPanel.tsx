import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { FileUp, Trash2 } from "lucide-react";
import { type ReactNode, useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import { FileButton } from "@/ui/FileButton";
import { IconButton } from "@/ui/IconButton";
import { Failed } from "@/ui/Notice";
import { type Picked, ShotFileSheet } from "./ShotFileSheet";

/** Measured balls of one moment: files taken in, each taken out again as a whole. */
export function ShotsPanel({
  lessonId,
  studentId,
  moment,
  children,
}: {
  lessonId: string;
  studentId: string;
  /** Before, after, or the name of what was tried. */
  moment: string;
  /** Another way in than a file. */
  children?: ReactNode;
}) {
  const client = useQueryClient();
  const files = useQuery(queries.shotFiles(lessonId));
  const [picked, setPicked] = useState<Picked>();
  const changed = () => {
    client.invalidateQueries({ queryKey: queries.shotFiles(lessonId).queryKey });
    client.invalidateQueries({ queryKey: queries.progress(lessonId).queryKey });
    client.invalidateQueries({ queryKey: queries.tried(lessonId).queryKey });
    client.invalidateQueries({ queryKey: ["students", studentId] });
  };
  const remove = useMutation({
    mutationFn: (id: string) => api.delete(`/api/shot-files/${id}`),
    onSuccess: changed,
  });
  const shown = files.data?.filter((f) => f.stage === moment) ?? [];
  return (
    <section aria-label="Measured balls" className="grid justify-items-start gap-2">
      {children && <h2>Measured balls</h2>}
      {children}
      {shown.length > 0 && (
        <ul className="w-full">
          {shown.map((file) => (
            <li key={file.id} className="border-line flex items-center gap-3 border-b">
              <span>
                {file.name}: <strong>{file.balls} balls</strong>
              </span>
              <span className="ml-auto">
                <IconButton
                  label={`Take ${file.name} out again`}
                  disabled={remove.isPending}
                  onClick={() => remove.mutate(file.id)}
                >
                  <Trash2 aria-hidden className="size-4" />
                </IconButton>
              </span>
            </li>
          ))}
        </ul>
      )}
      {remove.isError && <Failed error={remove.error} />}
      <div className="flex flex-wrap items-center gap-3">
        <FileButton
          label="File of measured balls"
          accept=".csv,.txt,.tsv,text/csv"
          onFile={async (file, at) => setPicked({ name: file.name, text: await file.text(), at })}
        >
          <FileUp aria-hidden className="size-5" /> From a file
        </FileButton>
        <a href={`/api/students/${studentId}/bay.csv?balls=20`} download className="text-soft text-sm">
          No bay at hand? A simulated one makes a file.
        </a>
      </div>
      {picked && (
        <ShotFileSheet
          lessonId={lessonId}
          moment={moment}
          picked={picked}
          onTaken={() => {
            setPicked(undefined);
            changed();
          }}
          onClose={() => setPicked(undefined)}
        />
      )}
    </section>
  );
}
