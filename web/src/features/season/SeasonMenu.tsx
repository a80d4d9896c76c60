import { Ellipsis } from "lucide-react";
import { Link } from "react-router";
import { scopeSearch, useScope } from "../../app/scope";
import { looks } from "../../ui/looks";

const ways = [
  ["/season/choose", "Choose what the year holds"],
  ["/season/week", "Order a week of the plan"],
  ["/season/forecast", "Forecast"],
  ["/season/first-weeks", "First weeks"],
  ["/season/files", "Plans in and out, calendar"],
  ["/season/settings", "Pacing and prices"],
] as const;

/** Everything else one does with a season. */
export function SeasonMenu() {
  const { search } = useScope();
  return (
    <details className={looks.dropdown}>
      <summary
        className={`${looks.button} h-10 list-none px-3`}
        aria-label="More of the season"
        title="More of the season"
      >
        <Ellipsis size={18} aria-hidden />
      </summary>
      <ul
        className={`${looks.dropdownContent} bg-base-100 border-base-content z-40 mt-1 w-64 rounded-xl border-[1.5px] p-2 shadow-lg`}
      >
        {ways.map(([pathname, words]) => (
          <li key={pathname}>
            <Link
              className="hover:bg-base-200 block rounded-lg px-3 py-2"
              to={{ pathname, search: scopeSearch(search, {}) }}
            >
              {words}
            </Link>
          </li>
        ))}
      </ul>
    </details>
  );
}
