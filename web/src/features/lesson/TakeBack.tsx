import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Lesson } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed } from "@/ui/Notice";
import { Sheet } from "@/ui/Sheet";

/** A lesson begun by mistake goes again, as long as nothing was decided in it. */
export function TakeBack({ lesson, onGone }: { lesson: Lesson; onGone: () => void }) {
  const [open, setOpen] = useState(false);
  const client = useQueryClient();
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: () => api.delete<void>(`/api/lessons/${lesson.id}`),
    onSuccess: () => {
      onGone();
      navigate(`/students/${lesson.studentId}`, { replace: true });
      client.removeQueries({ queryKey: queries.lesson(lesson.id).queryKey });
      for (const key of ["students", "day"]) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  if (lesson.focus.length > 0) return null;
  return (
    <>
      <Button weight="quiet" className="text-soft px-2! text-sm" onClick={() => setOpen(true)}>
        Take this lesson back
      </Button>
      <Sheet title="Take this lesson back?" open={open} onOpenChange={setOpen}>
        <p>
          Everything entered in it goes with it: balls, signs, readings, the note. Nothing was decided yet.
        </p>
        {take.isError && <Failed error={take.error} />}
        <div className="flex flex-wrap gap-3">
          <Button weight="main" onClick={() => setOpen(false)}>
            Keep it
          </Button>
          <Button disabled={take.isPending} onClick={() => take.mutate()}>
            Take it back
          </Button>
        </div>
      </Sheet>
    </>
  );
}
