import { type ComponentProps, lazy, Suspense } from "react";
import { DrillDiagram } from "../drill/DrillDiagram";

const Golfer = lazy(() => import("./BlockGolfer"));
const OwnSwings = lazy(() => import("./ThenAndNowGolfer"));
const Swing = lazy(() => import("./SchoolGolfer"));

/** What a block of a plan looks like, fetched where it is shown; its soles until then. */
export function BlockGolfer(props: ComponentProps<typeof Golfer>) {
  const { drill, hand } = props;
  return (
    <Suspense fallback={<DrillDiagram diagram={drill.diagram} hand={hand} title={drill.name} />}>
      <Golfer {...props} />
    </Suspense>
  );
}

/** The own swings of two lessons, fetched where they are shown. */
export function ThenAndNowGolfer(props: ComponentProps<typeof OwnSwings>) {
  return (
    <Suspense>
      <OwnSwings {...props} />
    </Suspense>
  );
}

/** The swing a school wants, fetched where it is shown. */
export function SchoolGolfer(props: ComponentProps<typeof Swing>) {
  return (
    <Suspense fallback={<div className="aspect-square w-full" />}>
      <Swing {...props} />
    </Suspense>
  );
}
