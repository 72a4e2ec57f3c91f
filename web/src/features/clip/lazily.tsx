import { type ComponentProps, lazy, Suspense } from "react";

const Films = lazy(() => import("./ThenAndNow"));

/** Films of two lessons beside each other, fetched where they are shown. */
export function ThenAndNow(props: ComponentProps<typeof Films>) {
  return (
    <Suspense>
      <Films {...props} />
    </Suspense>
  );
}
