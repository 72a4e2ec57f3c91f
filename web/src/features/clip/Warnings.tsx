import type { Wire } from "@/api/types";
import { Note } from "@/ui/Notice";

/** What makes a film useless as it is, said before anything of it. */
const GRAVE = ["no-swing", "sideways", "mirrored"];

/** What spoils a film: what makes it useless, or the rest. */
export function Warnings({ of, grave }: { of: Wire["WarningView"][]; grave: boolean }) {
  return of
    .filter((w) => GRAVE.includes(w.code) === grave)
    .map((w) => (
      <Note key={w.code + w.text} tone={grave ? "alert" : undefined}>
        {w.text}
      </Note>
    ));
}
