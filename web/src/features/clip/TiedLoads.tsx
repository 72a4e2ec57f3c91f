import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import type { Catalogue, Hand, Wire } from "@/api/types";
import { Soles } from "../feet/Soles";
import { TracePicture } from "../plate/TracePicture";
import { byTime, valueAt } from "../plate/traceShape";

/** The loads of the filmed swing, as the plate had them: at the film's picture, for the strike is the same. */
export function TiedLoads({
  swing,
  apart,
  seconds,
  onSeconds,
  corridors,
  catalogue,
  hand,
}: {
  swing: Wire["SwingView"];
  /** How much later the plate's clock is, seconds. */
  apart: number;
  /** By the film's clock. */
  seconds: number;
  onSeconds: (seconds: number) => void;
  corridors: Record<string, number[]>;
  catalogue: Catalogue;
  hand: Hand;
}) {
  const curve = useQuery(queries.curve(swing.id));
  if (!curve.data) return <div className="h-56" />;
  const { step, trailShare, halves } = curve.data;
  const now = Math.max(0, Math.min(swing.seconds, seconds + apart));
  const share = valueAt(trailShare, step, now);
  const at = (values: (number | null)[] | undefined) => valueAt(values, step, now) ?? undefined;
  return (
    <section
      aria-label="Loads of this swing"
      className="grid items-center gap-3 sm:grid-cols-[9rem_minmax(0,1fr)]"
    >
      <div className="mx-auto w-36">
        {share !== null && (
          <Soles
            hand={hand}
            trailShare={share}
            leadToe={at(halves?.leadFront)}
            leadOuter={at(halves?.leadOuter)}
            trailToe={at(halves?.trailFront)}
            trailOuter={at(halves?.trailOuter)}
          />
        )}
      </div>
      <TracePicture
        swing={swing}
        curve={curve.data}
        axis={byTime(swing.seconds)}
        corridors={corridors}
        checkpoints={catalogue.checkpoints}
        seconds={now}
        onScrub={(to) => onSeconds(to - apart)}
      />
    </section>
  );
}
