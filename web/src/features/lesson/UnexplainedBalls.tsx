import type { Catalogue, Diagnosis } from "@/api/types";

/** Balls that go the same way while nothing likely explains it, and what holds each explanation back. */
export function UnexplainedBalls({ diagnosis, catalogue }: { diagnosis: Diagnosis; catalogue: Catalogue }) {
  const label = (id: string) => catalogue.faults.find((f) => f.id === id)?.label ?? id;
  const ball = (kind: string, id: string) =>
    catalogue.ballResults.find((r) => r.kind === kind && r.id === id)?.label ?? id;
  return diagnosis.unexplained.map((balls) => (
    <section
      key={`${balls.kind}:${balls.result}`}
      aria-label={`Not explained: ${ball(balls.kind, balls.result)}`}
      className="border-warn grid gap-1 border-l-4 pl-3"
    >
      <p>
        <strong>
          {balls.hits} of {balls.of} {ball(balls.kind, balls.result)}
        </strong>
        , and nothing likely explains it.
      </p>
      <ul>
        {balls.against.map((fault) => (
          <li key={fault.fault}>
            {label(fault.fault)}, {Math.round(100 * fault.probability)} %
            <span className="text-soft block text-sm">
              {fault.text ? `Held back most by: ${fault.text}` : "Nothing was answered against it."}
            </span>
          </li>
        ))}
      </ul>
      <p className="text-soft text-sm">Face, grip and ball position can do it without the feet.</p>
    </section>
  ));
}
