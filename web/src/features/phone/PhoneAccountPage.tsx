import { AccountPanel } from "../account/AccountPanel";
import { PhoneFrame } from "./PhoneFrame";

/** A student's own account. */
export default function PhoneAccountPage() {
  return (
    <PhoneFrame>
      <h1 className="mb-4">Your account</h1>
      <AccountPanel codes={false} />
    </PhoneFrame>
  );
}
