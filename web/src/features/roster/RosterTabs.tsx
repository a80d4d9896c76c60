import clsx from "clsx";
import { NavLink } from "react-router";
import { useDirects, useSeesEverybody } from "../../app/role";
import { scopeSearch, useScope } from "../../app/scope";

const tabs: { path: string; name: string; directors?: boolean }[] = [
  { path: "/roster", name: "Board" },
  { path: "/roster/belts", name: "Belts" },
  { path: "/roster/ensemble", name: "Ensemble" },
  { path: "/roster/attention", name: "Attention" },
  { path: "/roster/turns", name: "Turns" },
  { path: "/roster/students", name: "Students" },
  { path: "/roster/seating", name: "Seating" },
  { path: "/roster/grades", name: "Grades" },
  { path: "/roster/fit", name: "Fit" },
  { path: "/roster/switch", name: "Switch", directors: true },
];

export function RosterTabs() {
  const { search } = useScope();
  const everybody = useSeesEverybody();
  const directs = useDirects();
  const own = everybody ? tabs.filter((tab) => directs || !tab.directors) : tabs.slice(0, 1);
  return (
    <nav aria-label="Roster views" className="flex gap-1">
      {own.map((tab) => (
        <NavLink
          key={tab.path}
          end
          to={{ pathname: tab.path, search: scopeSearch(search, {}) }}
          className={({ isActive }) =>
            clsx(
              "rounded-lg border-[1.5px] px-3 py-1 no-underline",
              isActive ? "bg-neutral text-neutral-content border-neutral" : "hairline hover:bg-base-200",
            )
          }
        >
          {tab.name}
        </NavLink>
      ))}
    </nav>
  );
}
