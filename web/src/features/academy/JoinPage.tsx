import { useParams } from "react-router";
import { api } from "@/api/client";
import type { Session, Wire } from "@/api/types";
import { type NewAccount, NewAccountForm } from "../account/NewAccountForm";
import { OneTimePage } from "../account/OneTimePage";
import { useEnter } from "../account/session";
import { Title } from "@/ui/Title";

/** Where the invitation of another coach leads. */
export default function JoinPage() {
  const { token } = useParams();
  const path = `/api/coach-invitations/${token}`;
  const enter = useEnter((account: NewAccount) => api.post<Session>(path, account));
  return (
    <OneTimePage<Wire["InvitedView"]> path={path}>
      {(invitation) => (
        <>
          <Title>Welcome</Title>
          <h1>Hello {invitation.name}</h1>
          <p>
            {invitation.by} invites you to coach here. Your students are yours: other coaches see them only
            when you let one stand in for you, and you can read what they did.
          </p>
          <NewAccountForm askName action="Begin" enter={enter} />
        </>
      )}
    </OneTimePage>
  );
}
