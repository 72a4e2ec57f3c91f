import { Flag, House, LogOut, TrendingUp } from "lucide-react";
import type { ReactNode } from "react";
import { NavLink } from "react-router";
import { useSignOut } from "../account/session";
import { Waiting } from "./Waiting";

/** A phone page: the content, and the ways to go within a thumb's reach. */
export function PhoneFrame({ children }: { children: ReactNode }) {
  const signOut = useSignOut();
  const tab =
    "aria-[current=page]:border-ink grid min-h-14 justify-items-center border-t-3 border-transparent pt-1.5 text-sm font-semibold no-underline";
  return (
    <div className="mx-auto grid min-h-dvh max-w-md grid-rows-[1fr_auto]">
      <main className="px-5 pt-5 pb-8">
        <Waiting />
        {children}
      </main>
      <nav
        aria-label="Main"
        className="bg-paper border-line sticky bottom-0 grid grid-cols-4 border-t pb-[env(safe-area-inset-bottom)]"
      >
        <NavLink to="/today" end className={tab}>
          <House aria-hidden className="size-5" /> Today
        </NavLink>
        <NavLink to="/climb" className={tab}>
          <TrendingUp aria-hidden className="size-5" /> The climb
        </NavLink>
        <NavLink to="/card" className={tab}>
          <Flag aria-hidden className="size-5" /> The card
        </NavLink>
        <button type="button" className={tab} onClick={() => signOut.mutate()}>
          <LogOut aria-hidden className="size-5" /> Sign out
        </button>
      </nav>
    </div>
  );
}
