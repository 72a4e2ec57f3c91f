import { Minus, Plus } from "lucide-react";
import type { Catalogue } from "@/api/types";
import { Choice } from "@/ui/Choice";
import { IconButton } from "@/ui/IconButton";

const MOST = 60;

/** What the drill asks to be noticed in the set just done; may be left out. */
export function Noticing({
  notice,
  said,
  onSay,
}: {
  notice: Catalogue["notices"][number];
  said: string;
  onSay: (said: string) => void;
}) {
  const number = Number(said || 0);
  return (
    <fieldset className="grid gap-1.5">
      <legend className="mb-1 font-semibold">{notice.question}</legend>
      {notice.unit ? (
        <div className="flex items-center gap-3">
          <IconButton label="Less" disabled={number === 0} onClick={() => onSay(String(number - 1))}>
            <Minus aria-hidden />
          </IconButton>
          <output className="min-w-16 text-center text-2xl">
            {said === "" ? "–" : said} {notice.unit}
          </output>
          <IconButton
            label="More"
            disabled={number >= MOST}
            onClick={() => onSay(said === "" ? "0" : String(number + 1))}
          >
            <Plus aria-hidden />
          </IconButton>
        </div>
      ) : (
        <Choice label={notice.question} value={said} options={notice.answers} onChange={onSay} />
      )}
    </fieldset>
  );
}
