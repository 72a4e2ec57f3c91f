import type { Catalogue } from "@/api/types";
import type { Today } from "./today";

/** What comes next in the student's own terms: the gate, how many good sets it takes, and what this week is for. */
export function NextGate({ today, catalogue }: { today: Today; catalogue: Catalogue }) {
  const { plan } = today.plan!;
  const standing = (step: { fault: string; rung: string }) =>
    today.rungs.find((r) => r.fault === step.fault && r.rung === step.rung);
  const next = plan.route.find((step) => step.gate && standing(step)?.standing !== "passed");
  if (!next?.gate) return null;
  const rung = catalogue.rungs.find((r) => r.id === next.rung)?.label;
  const drill = catalogue.drills[next.drill]?.name;
  const last = standing(next)?.sets.at(-1);
  const oneGood = last !== undefined && (last.good / last.of) * next.gate.of >= next.gate.good;
  const withBall = catalogue.rungs.some((r) => r.id === next.rung && r.balls > 0);
  return (
    <section aria-labelledby="next-gate" className="border-ink border-l-4 pl-3">
      <h2 id="next-gate">Next gate: {rung}</h2>
      <p>
        {oneGood
          ? `One more set of ${next.gate.good} of ${next.gate.of} on another day${withBall ? ", with a real ball," : ""} passes it.`
          : `Two good sets pass it: ${next.gate.good} of ${next.gate.of} on ${next.gate.days} days${withBall ? ", the second with a real ball" : ""}.`}
      </p>
      <p className="text-soft">This week is for {drill?.toLowerCase()}.</p>
    </section>
  );
}
