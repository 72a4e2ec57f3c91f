import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "@/api/client";
import { queries } from "@/api/queries";
import { Choice } from "@/ui/Choice";
import { Failed } from "@/ui/Notice";
import { AccountPanel } from "./AccountPanel";
import { OwnPlate } from "./OwnPlate";
import { Title } from "@/ui/Title";

/** A coach's own account. */
export default function AccountPage() {
  const session = useQuery(queries.session());
  const account = session.data?.account;
  return (
    <div className="grid gap-6">
      <header className="flex flex-wrap items-baseline gap-x-6">
        <Title>Your account</Title>
        <h1>{account?.name}</h1>
        <p className="text-soft">{account?.email}</p>
        <Link to="/academy" className="ml-auto">
          The academy{account?.owner && ", which you own"}
        </Link>
      </header>
      {account && <OwnUnits units={account.units} />}
      <OwnPlate />
      <AccountPanel codes />
    </div>
  );
}

/** In which units the coach reads and types; each student has their own. */
function OwnUnits({ units }: { units: string }) {
  const client = useQueryClient();
  const set = useMutation({
    mutationFn: (next: string) => api.put<void>("/api/account/units", { units: next }),
    // Everything with a length in it is said anew.
    onSuccess: () => client.invalidateQueries(),
  });
  return (
    <section aria-labelledby="units" className="grid gap-2">
      <h2 id="units">Units</h2>
      <Choice
        label="Units"
        value={set.isPending ? set.variables : units}
        options={[
          { id: "metric", label: "Metric: cm, m" },
          { id: "imperial", label: "Imperial: in, yd" },
        ]}
        onChange={(next) => set.mutate(next)}
      />
      <p className="text-soft text-sm">
        For what you read and type. Each student has their own on the phone and on paper.
      </p>
      {set.isError && <Failed error={set.error} />}
    </section>
  );
}
