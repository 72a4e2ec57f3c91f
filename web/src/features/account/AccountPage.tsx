import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { queries } from "@/api/queries";
import { AccountPanel } from "./AccountPanel";
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
      <AccountPanel codes />
    </div>
  );
}
