import { useQuery } from "@tanstack/react-query";
import { Navigate } from "react-router";
import { queries, useCatalogue } from "@/api/queries";
import type { Catalogue, Today } from "@/api/types";
import { today } from "@/ui/dates";
import { Failed, Loading } from "@/ui/Notice";
import { AfterPractice } from "./AfterPractice";
import { Runner } from "./Runner";
import { firstOpen } from "./session";
import { useSession } from "./useSession";
import { useState } from "react";

/** Today's session, rep by rep, and what is said after it. */
export default function RunnerPage() {
  const day = useQuery({ ...queries.today(today()), refetchOnWindowFocus: false });
  const catalogue = useCatalogue(day.data?.handedness);
  if (day.isPending || catalogue.isPending) return <Loading />;
  if (day.isError) return <Failed error={day.error} again={() => day.refetch()} />;
  if (catalogue.isError) return <Failed error={catalogue.error} again={() => catalogue.refetch()} />;
  if (!day.data.day || !day.data.plan) return <Navigate to="/today" replace />;
  return <Session today={day.data} catalogue={catalogue.data} />;
}

function Session({ today, catalogue }: { today: Today; catalogue: Catalogue }) {
  const session = useSession(today);
  const blocks = today.day!.blocks;
  const [at, setAt] = useState(() => firstOpen(blocks, session.entry, today.stopped));
  const [finishing, setFinishing] = useState(false);
  const ended = finishing || at >= blocks.length || session.entry.finished;
  return (
    <div className="mx-auto min-h-dvh max-w-md">
      {ended ? (
        <AfterPractice
          today={today}
          catalogue={catalogue}
          session={session}
          onBack={
            session.entry.finished
              ? undefined
              : () => {
                  setFinishing(false);
                  setAt(Math.min(firstOpen(blocks, session.entry, today.stopped), blocks.length - 1));
                }
          }
        />
      ) : (
        <Runner
          key={at}
          today={today}
          catalogue={catalogue}
          session={session}
          at={at}
          onNext={() => setAt(at + 1)}
          onEnd={() => setFinishing(true)}
        />
      )}
    </div>
  );
}
