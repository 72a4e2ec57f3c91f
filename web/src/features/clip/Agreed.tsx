import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import type { Lesson, Wire } from "@/api/types";
import { longDay } from "@/calendar/dates";
import { Button } from "@/ui/Button";
import { Failed, Note } from "@/ui/Notice";
import { Removal } from "@/ui/Removal";
import { picturesOf } from "./kept";
import { sendPictures } from "./pictures";

/** Whether pictures of the student may be kept, and who said so. */
export function Agreed({
  lesson,
  clips,
  agreed,
}: {
  lesson: Lesson;
  clips: Wire["ClipView"][];
  agreed?: Wire["PicturesAgreed"];
}) {
  const client = useQueryClient();
  const [by, setBy] = useState("");
  const agree = useMutation({
    mutationFn: (by: string | null) =>
      api.put<void>(`/api/students/${lesson.studentId}/pictures-agreed`, { by }),
    onSuccess: async (_, said) => {
      // What was filmed before somebody agreed is still at hand on this page.
      for (const clip of said ? clips : []) {
        const held = picturesOf(clip.id);
        if (held) await sendPictures(clip, held);
      }
      await client.invalidateQueries({ queryKey: queries.clips(lesson.id).queryKey });
    },
  });
  if (agreed)
    return (
      <div className="text-sm no-print">
        {agreed.by} agreed on {longDay(agreed.on)} that pictures are kept: stills of the eight moments, and a
        film where you choose to.{" "}
        <Removal
          label="Take back, and remove them"
          asks="All stills and films of this student go, from every lesson and from what the phone sent. Points and numbers stay."
          onRemove={() => agree.mutate(null)}
        />
        {agree.isError && <Failed error={agree.error} />}
      </div>
    );
  return (
    <form
      className="no-print grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (by.trim()) agree.mutate(by.trim());
      }}
    >
      <Note>Points and numbers are kept; pictures only if the student agrees (for a junior, the adult).</Note>
      <span className="flex items-end gap-2">
        <label className="grid flex-1 gap-1">
          Who agrees
          <input value={by} maxLength={100} onChange={(e) => setBy(e.target.value)} />
        </label>
        <Button type="submit" disabled={!by.trim() || agree.isPending}>
          Keep stills
        </Button>
      </span>
      {agree.isError && <Failed error={agree.error} />}
    </form>
  );
}
