import { type ComponentProps, lazy, Suspense } from "react";
import { DrillDiagram } from "../drill/DrillDiagram";

const Golfer = lazy(() => import("./BlockGolfer"));

/** What a block of a plan looks like, fetched where it is shown; its soles until then. */
export function BlockGolfer(props: ComponentProps<typeof Golfer>) {
  const { drill, hand } = props;
  return (
    <Suspense fallback={<DrillDiagram diagram={drill.diagram} hand={hand} title={drill.name} />}>
      <Golfer {...props} />
    </Suspense>
  );
}
