import { useState } from "react";
import { Navigate } from "react-router";
import { useCatalogue } from "@/api/queries";
import type { Catalogue } from "@/api/types";
import { Failed, Loading } from "@/ui/Notice";
import { AfterPractice } from "./AfterPractice";
import { Runner } from "./Runner";
import { following, firstOpen } from "./session";
import { type Today, useToday } from "./today";
import { useSession } from "./useSession";

/** Today's session, rep by rep, and what is said after it. */
export default function RunnerPage() {
  const day = useToday();
  const catalogue = useCatalogue(day.data?.handedness);
  if (day.error) return <Failed error={day.error} again={day.again} />;
  if (!catalogue.data && catalogue.isError)
    return <Failed error={catalogue.error} again={catalogue.refetch} />;
  if (!day.data || !catalogue.data) return <Loading />;
  if (!day.data.day || !day.data.plan) return <Navigate to="/today" replace />;
  return <Session today={day.data} catalogue={catalogue.data} />;
}

function Session({ today, catalogue }: { today: Today; catalogue: Catalogue }) {
  const session = useSession(today, catalogue.practice.gapDays);
  const { blocks } = session;
  const [at, setAt] = useState(() => firstOpen(blocks, session.entry, today.stopped));
  const [finishing, setFinishing] = useState(false);
  const ended = finishing || at >= blocks.length || session.entry.finished;
  return (
    <div className="mx-auto min-h-dvh max-w-md">
      {ended ? (
        <AfterPractice
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
          onNext={() => setAt(following(blocks, at))}
          onAside={(block) => setAt(session.add(block))}
          onEnd={() => setFinishing(true)}
        />
      )}
    </div>
  );
}
