import { newId } from "@/api/newId";
import { type PointerEvent, useState } from "react";
import { useNavigate } from "react-router";
import { useCatalogue } from "@/api/queries";
import type { Catalogue, Hand } from "@/api/types";
import { Button } from "@/ui/Button";
import { Failed, Loading } from "@/ui/Notice";
import { Title } from "@/ui/Title";
import { Soles } from "../feet/Soles";
import { PhoneFrame } from "./PhoneFrame";
import { sendWaiting } from "./sending";
import { type Today, useToday } from "./today";
import { useMailbag } from "./useOutbox";

const MOMENTS = ["address", "top", "impact"] as const;
const STEP = 5;

/** Where the load is felt in one slow swing, said by finger at three moments. */
export default function SolesPage() {
  const day = useToday();
  const catalogue = useCatalogue(day.data?.handedness);
  if (day.error) return <Failed error={day.error} again={day.again} />;
  if (!catalogue.data && catalogue.isError)
    return <Failed error={catalogue.error} again={catalogue.refetch} />;
  if (!day.data || !catalogue.data) return <Loading />;
  return (
    <PhoneFrame>
      <Title>What the feet feel</Title>
      <h1>What the feet feel</h1>
      <Felt today={day.data} catalogue={catalogue.data} />
    </PhoneFrame>
  );
}

function Felt({ today, catalogue }: { today: Today; catalogue: Catalogue }) {
  const bag = useMailbag();
  const navigate = useNavigate();
  const [at, setAt] = useState(0);
  const [shares, setShares] = useState<Record<string, number>>({});
  const moment = MOMENTS[at]!;
  const share = shares[moment] ?? 50;
  const label = catalogue.checkpoints.find((c) => c.id === moment)?.label ?? moment;
  const hand = today.handedness as Hand;
  const set = (value: number) =>
    setShares({ ...shares, [moment]: Math.max(0, Math.min(100, STEP * Math.round(value / STEP))) });
  const touch = (event: PointerEvent<HTMLDivElement>) => {
    if (event.type === "pointermove" && event.buttons === 0) return;
    const box = event.currentTarget.getBoundingClientRect();
    const right = (100 * (event.clientX - box.left)) / box.width;
    // A right-hander's trail foot is the right one, and the finger goes where the load is.
    set(hand === "right" ? right : 100 - right);
  };
  const next = () => {
    const all = { ...shares, [moment]: share };
    setShares(all);
    if (at < MOMENTS.length - 1) return setAt(at + 1);
    bag.letters.write({
      id: newId(),
      what: "what the feet felt",
      day: today.date,
      to: "self-checks",
      body: { day: today.date, edition: 1, address: all.address!, top: all.top!, impact: all.impact! },
    });
    void sendWaiting(bag).catch(() => undefined);
    navigate("/today");
  };
  return (
    <div className="mt-3 grid gap-4">
      <p>
        One slow swing without a ball, stopped at each moment. Slide the finger to where the load is: as you
        feel it, not as it should be.
      </p>
      <p className="text-lg" aria-live="polite">
        <strong>{label}</strong>, {at + 1} of {MOMENTS.length}
      </p>
      <div className="touch-none" onPointerDown={touch} onPointerMove={touch}>
        <Soles plain hand={hand} trailShare={share} />
      </div>
      <label className="grid gap-1">
        <span className="text-soft text-sm">Load under the {hand} foot, %</span>
        <input
          type="range"
          min={0}
          max={100}
          step={STEP}
          value={share}
          className="min-h-11 w-full"
          onChange={(e) => set(Number(e.target.value))}
        />
      </label>
      <div className="flex gap-2">
        {at > 0 && (
          <Button className="min-h-14!" onClick={() => setAt(at - 1)}>
            Back
          </Button>
        )}
        <Button weight="main" className="min-h-14! flex-1 text-lg" onClick={next}>
          {at < MOMENTS.length - 1 ? "Next moment" : "Send to the coach"}
        </Button>
      </div>
    </div>
  );
}
