import type { Catalogue, Lesson } from "@/api/types";
import { Sheet } from "@/ui/Sheet";
import { FaultGolfer } from "./FaultGolfer";

/** What a sign looks like: the fault it speaks for most, over sound movement. */
export default function SignSheet({
  sign,
  catalogue,
  lesson,
  school,
  onClose,
}: {
  sign: Catalogue["signs"][number];
  catalogue: Catalogue;
  lesson: Lesson;
  school: string;
  onClose: () => void;
}) {
  const fault = catalogue.faults.find((f) => f.id === sign.shows);
  return (
    <Sheet title={sign.label} open onOpenChange={(open) => !open && onClose()}>
      <p>{sign.how}</p>
      {fault && (
        <FaultGolfer
          faults={{ [fault.id]: 1 }}
          lesson={lesson}
          school={school}
          said={`${sign.label}: ${fault.label}, fully there.`}
        />
      )}
      <p className="text-soft text-sm">
        Here with {fault?.label.toLowerCase()}, fully there; the sound swing behind it.
      </p>
    </Sheet>
  );
}
