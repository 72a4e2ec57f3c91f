import { Trash2 } from "lucide-react";
import type { Wire } from "@/api/types";
import { IconButton } from "@/ui/IconButton";
import { VIEWS } from "./seen";

/** The clips of a stage, to choose from. */
export function KeptClips({
  clips,
  chosen,
  onChoose,
  onRemove,
}: {
  clips: Wire["ClipView"][];
  chosen?: string;
  onChoose: (id: string) => void;
  onRemove: (id: string) => void;
}) {
  if (clips.length === 0) return null;
  return (
    <section aria-label="Clips" className="no-print">
      <h2 className="mb-1">{clips.filter((c) => c.state === "kept").length} kept</h2>
      <ul className="grid gap-1">
        {clips.map((c) => (
          <li key={c.id} className="flex gap-1">
            <button
              type="button"
              aria-pressed={c.id === chosen}
              onClick={() => onChoose(c.id)}
              className={`aria-pressed:border-ink hover:bg-tint border-line min-h-11 flex-1 rounded border px-2 text-left ${c.state === "thrown" ? "opacity-50" : ""}`}
            >
              {c.number} {VIEWS.find((v) => v.id === c.view)?.label}
              <span className="text-soft ml-2 text-sm">{c.name}</span>
            </button>
            <IconButton label={`Remove clip ${c.number}`} onClick={() => onRemove(c.id)}>
              <Trash2 aria-hidden className="size-4" />
            </IconButton>
          </li>
        ))}
      </ul>
    </section>
  );
}
