import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { api } from "@/api/client";
import { Failed, Loading } from "@/ui/Notice";
import { Mark } from "./CoachFrame";

/** Where a one-time link leads: says whose it is, or that it is used up. */
export function OneTimePage<Found>({
  path,
  children,
}: {
  path: string;
  children: (found: Found) => ReactNode;
}) {
  const link = useQuery({ queryKey: ["one-time", path], queryFn: () => api.get<Found>(path) });
  return (
    <main className="mx-auto grid max-w-md gap-6 p-6">
      <Mark />
      {link.isPending && <Loading />}
      {link.isError && <Failed error={link.error} />}
      {link.data && children(link.data)}
    </main>
  );
}
