import { Dialog } from "radix-ui";
import { useState } from "react";
import type { Catalogue, Lesson, LessonEntry } from "@/api/types";
import { Button } from "@/ui/Button";
import { FaultGolfer } from "../golfer/FaultGolfer";
import { OwnGolfer } from "../golfer/OwnGolfer";
import { inOrder } from "./chainShape";

/** The student's own chain in movement, for the student to look at: root first, with what was measured. */
export default function ShowStudent({
  lesson,
  entry,
  catalogue,
  onClose,
}: {
  lesson: Lesson;
  entry: LessonEntry;
  catalogue: Catalogue;
  onClose: () => void;
}) {
  const chain = inOrder(lesson.diagnosis, catalogue);
  const [chosen, setChosen] = useState("");
  const one = chain.find((f) => f.id === chosen);
  const label = (id: string) => catalogue.faults.find((f) => f.id === id)?.label ?? id;
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          className="bg-paper fixed inset-0 z-50 grid content-start gap-4 overflow-y-auto p-5 md:grid-cols-[minmax(0,1fr)_minmax(0,26rem)] md:p-8"
        >
          <div className="flex items-center justify-between gap-4 md:col-span-2">
            <Dialog.Title className="text-2xl">What happens in your swing</Dialog.Title>
            <Dialog.Close asChild>
              <Button weight="main">Back to the lesson</Button>
            </Dialog.Close>
          </div>
          <div className="mx-auto w-full max-w-[min(100%,58dvh)]">
            {one ? (
              <FaultGolfer
                faults={{ [one.id]: 1 }}
                lesson={lesson}
                school={entry.approach.pressure!}
                said={`${label(one.id)} alone.`}
              />
            ) : (
              <OwnGolfer
                lesson={lesson}
                school={entry.approach.pressure!}
                said={`Your swing: ${chain.map((f) => label(f.id)).join(", ")}.`}
              />
            )}
          </div>
          <ol className="grid content-start gap-3 text-lg">
            {chain.map((fault, i) => {
              const info = catalogue.faults.find((f) => f.id === fault.id);
              return (
                <li key={fault.id}>
                  <button
                    type="button"
                    aria-pressed={one?.id === fault.id}
                    onClick={() => setChosen(one?.id === fault.id ? "" : fault.id)}
                    className="border-strong-line aria-pressed:border-ink aria-pressed:bg-tint hover:bg-tint grid w-full gap-1 rounded-md border p-3 text-left aria-pressed:border-2"
                  >
                    <span className="font-serif font-semibold">
                      {i + 1}. {info?.label}
                    </span>
                    <span>{info?.what}</span>
                    {fault.for
                      .filter((e) => /[@<>]/.test(e.evidence) && e.weight > fault.for[0]!.weight / 4)
                      .slice(0, 2)
                      .map((e) => (
                        <span key={e.evidence} className="text-soft text-base">
                          {e.text}
                        </span>
                      ))}
                  </button>
                </li>
              );
            })}
            <li className="text-soft text-base">
              {one
                ? "Drawn as if it were fully there. Tap it again for the whole swing."
                : "Tap one to see it alone; the sound swing is behind."}
            </li>
          </ol>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
