import { Video } from "lucide-react";
import { lazy, Suspense, useState } from "react";
import type { Hand } from "@/api/types";
import { Button } from "@/ui/Button";
import { FileButton } from "@/ui/FileButton";
import { Sheet } from "@/ui/Sheet";
import { askHowHeld, hasCamera } from "./useCamera";

const Camera = lazy(() => import("./Camera"));

/** A film from the camera of this machine; where a page may not have it, from the device's own program. */
export function FilmNow({
  hand,
  disabled,
  onFile,
}: {
  hand: Hand;
  disabled?: boolean;
  onFile: (file: File) => void;
}) {
  const [open, setOpen] = useState(false);
  const label = (
    <>
      <Video aria-hidden className="size-5" /> Film now
    </>
  );
  const take = (file: File) => {
    setOpen(false);
    onFile(file);
  };
  if (!hasCamera())
    return (
      <FileButton camera label="Film now" accept="video/*" disabled={disabled} onFile={take}>
        {label}
      </FileButton>
    );
  return (
    <>
      <Button
        disabled={disabled}
        onClick={() => {
          askHowHeld();
          setOpen(true);
        }}
      >
        {label}
      </Button>
      <Sheet title="Film now" open={open} onOpenChange={setOpen}>
        <Suspense>
          <Camera hand={hand} onFile={take} />
        </Suspense>
      </Sheet>
    </>
  );
}
