import clsx from "clsx";
import type { ScopeOption } from "./orderForm";

interface Props {
  options: readonly ScopeOption[];
  chosen: readonly string[];
  onToggle: (key: string) => void;
}

/** Sections to choose from; several may be pressed. */
export function ScopeChips({ options, chosen, onToggle }: Props) {
  return (
    <div className="flex flex-wrap gap-1.5">
      {options.map((option) => {
        const on = chosen.includes(option.key);
        return (
          <button
            key={option.key}
            type="button"
            aria-pressed={on}
            onClick={() => onToggle(option.key)}
            className={clsx(
              "rounded-full border-[1.5px] px-3 py-1",
              on ? "bg-neutral text-neutral-content border-neutral" : "hairline hover:bg-base-200",
              (option.group === "tutti" || option.group === "family") && "font-semibold",
            )}
          >
            {option.name}
          </button>
        );
      })}
    </div>
  );
}
