import type { ReactNode } from "react";
import type { UseFormReturn } from "react-hook-form";
import type { CheckForm } from "./checkForm";

/** A check that is being written. */
export type Typed = UseFormReturn<CheckForm>;

/** Fields that belong together, with their name. */
export function Group({ name, hint, children }: { name: string; hint?: string; children: ReactNode }) {
  return (
    <fieldset>
      <legend className="mb-1.5 font-semibold">
        {name} {hint && <span className="small soft font-normal">{hint}</span>}
      </legend>
      {children}
    </fieldset>
  );
}
