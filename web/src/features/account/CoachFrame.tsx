import { LogOut } from "lucide-react";
import { type ReactNode, useState } from "react";
import { Link, NavLink } from "react-router";
import { Choice } from "@/ui/Choice";
import { applyTheme, storedTheme, THEMES } from "@/ui/theme";
import { useSignOut } from "./session";

export function Mark() {
  return (
    <span className="inline-flex items-center gap-2 font-serif text-xl font-semibold">
      <img src="/icon.svg" alt="" className="size-7" />
      Hodegon
    </span>
  );
}

/** The coach's pages: a line at the top, then the page. */
export function CoachFrame({ name, children }: { name: string; children: ReactNode }) {
  const [theme, setTheme] = useState(storedTheme);
  const signOut = useSignOut();
  return (
    <div className="min-h-dvh">
      <a href="#page" className="bg-ink text-on-ink sr-only p-3 focus:not-sr-only focus:absolute focus:z-50">
        To the page
      </a>
      <header className="border-line no-print flex flex-wrap items-center gap-x-6 gap-y-1 border-b px-4 py-1.5 sm:px-6">
        <Link to="/" className="no-underline">
          <Mark />
        </Link>
        <nav aria-label="Main" className="flex flex-wrap gap-x-4">
          <NavLink to="/day" className="py-2 font-semibold">
            Today
          </NavLink>
          <NavLink to="/students" className="py-2 font-semibold">
            Students
          </NavLink>
          <NavLink to="/drills" className="py-2 font-semibold">
            Drills
          </NavLink>
          <NavLink to="/approach" className="py-2 font-semibold">
            How you teach
          </NavLink>
        </nav>
        <div className="ml-auto flex items-center gap-3">
          <Choice
            compact
            label="Theme"
            value={theme}
            options={THEMES}
            onChange={(next) => {
              applyTheme(next);
              setTheme(next);
            }}
          />
          <Link to="/account" className="text-soft">
            {name}
          </Link>
          <button
            type="button"
            aria-label="Sign out"
            className="hover:bg-tint grid size-11 place-items-center rounded-md"
            onClick={() => signOut.mutate()}
          >
            <LogOut aria-hidden className="size-5" />
          </button>
        </div>
      </header>
      <main id="page" className="mx-auto max-w-[1400px] px-4 py-5 sm:px-6">
        {children}
      </main>
    </div>
  );
}
