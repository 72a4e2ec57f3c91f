import { useQuery } from "@tanstack/react-query";
import { queries } from "@/api/queries";
import { GolferView } from "./GolferView";

/** The sound swing of a pressure school: what moves where under the shoes. */
export default function SchoolGolfer({ school, label }: { school: string; label: string }) {
  const swing = useQuery(queries.swingMotion({}, "right", school));
  if (!swing.data) return <div className="aspect-square w-full" />;
  return (
    <GolferView key={school} compact motion={swing.data} hand="right" said={`The sound swing: ${label}.`} />
  );
}
