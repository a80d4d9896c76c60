import clsx from "clsx";
import { Suspense, useState, type ReactNode } from "react";
import { NavLink, useLocation } from "react-router";
import { PanelLeft } from "lucide-react";
import type { Me } from "../api/types";
import { Kbd } from "../ui/parts";
import { KeysHelp } from "./KeysHelp";
import { placesOf } from "./places";
import { JumpWaiting } from "./JumpWaiting";
import { Notices } from "./Notices";
import { OwnPassword } from "./OwnPassword";
import { page } from "./page";
import { PersonMenu } from "./PersonMenu";
import { scopeSearch, useScope } from "./scope";
import { ScoreRail } from "./ScoreRail";
import { useLive } from "./useLive";
import { useDayKept } from "./useDayKept";
import { useKeys } from "./useKeys";
import { WaitingMarks } from "./WaitingMarks";
import { WeekLabel, WeekRibbon } from "./WeekRibbon";
import { Wordmark } from "./Wordmark";
import { LookingAround } from "../features/start/LookAround";
import { looks } from "../ui/looks";

const JumpBox = page(async () => (await import("./JumpBox")).JumpBox);

/** The frame of every screen: places on top, the year as a ribbon, the sections as a score at the left. */
export function Shell({ me, children }: { me: Me; children: ReactNode }) {
  const { search } = useScope();
  const location = useLocation();
  const [jumping, setJumping] = useState(false);
  const [typedAhead, setTypedAhead] = useState("");
  const [helping, setHelping] = useState(false);
  const [changingPassword, setChangingPassword] = useState(false);
  const [railOpenAt, setRailOpenAt] = useState<string>();
  const railOpen = railOpenAt === location.key;
  useKeys({ "/": () => setJumping(true), "?": () => setHelping(true) });
  useDayKept(me.today);
  useLive();
  const kept = scopeSearch(search, {});
  return (
    <div
      className={clsx(
        "grid min-h-screen grid-cols-[minmax(0,1fr)] lg:grid-cols-[232px_minmax(0,1fr)] print:block print:bg-white",
        me.lookingAround ? "grid-rows-[auto_auto_auto_1fr]" : "grid-rows-[auto_auto_1fr]",
      )}
    >
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:p-3">
        Skip to the screen
      </a>
      <header className="no-print col-span-full flex h-[52px] items-center gap-1.5 bg-[var(--bar)] pr-4 pl-4 text-[var(--bar-content)]">
        <span className="hidden w-[216px] text-[1.27rem] lg:block">
          <Wordmark />
        </span>
        <button
          type="button"
          className={`${looks.smallQuiet} px-2 text-[var(--bar-content)] hover:text-base-content lg:hidden`}
          aria-expanded={railOpen}
          aria-controls="score-rail"
          onClick={() => setRailOpenAt(railOpen ? undefined : location.key)}
        >
          <PanelLeft size={20} aria-hidden />
          <span className="sr-only">Sections</span>
        </button>
        <nav aria-label="Places" className="flex items-center gap-0.5 overflow-x-auto">
          {placesOf(me.role).map((place) => (
            <NavLink
              key={place.path}
              to={{ pathname: place.path, search: kept }}
              className={({ isActive }) =>
                clsx(
                  "rounded-[9px] px-2.5 py-1.5 no-underline lg:px-3.5",
                  isActive
                    ? "bg-[var(--bar-content)] font-semibold text-[var(--bar)]"
                    : "text-[var(--bar-soft)] hover:text-[var(--bar-content)]",
                )
              }
            >
              {place.name}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex items-center gap-2.5">
          <Notices />
          <WaitingMarks />
          <button
            type="button"
            onClick={() => setJumping(true)}
            aria-label="Jump to a student, line, section"
            className="flex items-center justify-between gap-3 rounded-[9px] border border-[#565b66] px-3 py-1.5 text-sm text-[#c3beb2] xl:w-[300px]"
          >
            <span className="hidden xl:inline">Jump to a student, line, section…</span>
            <span className="xl:hidden">Jump</span>
            <Kbd>/</Kbd>
          </button>
          <PersonMenu me={me} onKeys={() => setHelping(true)} onPassword={() => setChangingPassword(true)} />
        </div>
      </header>
      {me.lookingAround && <LookingAround />}
      <div className="border-base-content bg-base-200 no-print col-span-full grid grid-cols-[148px_minmax(0,1fr)] border-b-[1.5px] lg:grid-cols-[232px_minmax(0,1fr)]">
        <WeekLabel />
        <WeekRibbon />
      </div>
      <aside
        id="score-rail"
        className={clsx(
          "border-base-content no-print bg-base-100 lg:block lg:border-r-[1.5px]",
          railOpen ? "hairline block border-b-[1.5px]" : "hidden",
        )}
      >
        <ScoreRail />
      </aside>
      <main id="main" className="min-w-0 px-4 py-4 lg:px-[22px]" tabIndex={-1}>
        {children}
      </main>
      {jumping && (
        <Suspense fallback={<JumpWaiting typed={typedAhead} onType={setTypedAhead} />}>
          <JumpBox
            begun={typedAhead}
            onClose={() => {
              setJumping(false);
              setTypedAhead("");
            }}
          />
        </Suspense>
      )}
      {changingPassword && <OwnPassword onClose={() => setChangingPassword(false)} />}
      {helping && <KeysHelp onClose={() => setHelping(false)} path={location.pathname} />}
    </div>
  );
}
