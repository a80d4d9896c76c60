import clsx from "clsx";
import type { ButtonHTMLAttributes, ReactNode, Ref } from "react";

export function Kbd({ children }: { children: ReactNode }) {
  return (
    <kbd className="inline-block rounded-[5px] border border-current px-1.5 py-0.5 font-sans text-xs leading-none font-semibold opacity-85">
      {children}
    </kbd>
  );
}

export function Chip({ children, className }: { children: ReactNode; className?: string }) {
  return (
    <span
      className={clsx(
        "hairline inline-flex items-center gap-1.5 rounded-full border-[1.5px] px-3 py-0.5 text-[0.93rem] whitespace-nowrap",
        className,
      )}
    >
      {children}
    </span>
  );
}

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  look?: "plain" | "primary" | "quiet";
  small?: boolean;
  ref?: Ref<HTMLButtonElement>;
}

export function Button({ look = "plain", small, className, type = "button", ...rest }: ButtonProps) {
  return (
    <button
      type={type}
      className={clsx(
        "btn font-semibold",
        small ? "btn-sm" : "btn-md h-10",
        look === "primary" && "btn-primary",
        look === "plain" &&
          "btn-outline hairline bg-base-100 text-base-content hover:bg-base-200 hover:text-base-content",
        look === "quiet" && "btn-ghost",
        className,
      )}
      {...rest}
    />
  );
}

/** A screen's heading line: name, a few words, and what can be done. */
export function Heading({
  title,
  words,
  children,
}: {
  title: string;
  words?: ReactNode;
  children?: ReactNode;
}) {
  return (
    <div className="mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-2">
      <h1 className="text-[1.75rem]">{title}</h1>
      {words && <p className="small soft">{words}</p>}
      <div className="no-print ml-auto flex flex-wrap gap-2">{children}</div>
    </div>
  );
}

export function Skeleton({ rows = 6 }: { rows?: number }) {
  return (
    <div aria-busy="true" aria-label="Loading" className="grid gap-3 py-2">
      {Array.from({ length: rows }, (_, i) => (
        <div key={i} className="skeleton bg-base-200 h-7 rounded-md" />
      ))}
    </div>
  );
}

export function Failed({ error, again }: { error: Error; again?: () => void }) {
  return (
    <div
      role="alert"
      className="border-error my-3 flex flex-wrap items-center gap-3 rounded-xl border-[1.5px] px-4 py-3"
    >
      <p className="grow">{error.message}</p>
      {again && (
        <Button small onClick={again}>
          Try again
        </Button>
      )}
    </div>
  );
}

export function Empty({ children }: { children: ReactNode }) {
  return (
    <div className="soft border-base-300 my-3 rounded-xl border-[1.5px] border-dashed px-5 py-6">
      {children}
    </div>
  );
}

/** A stated problem or remedy, in the warm band. */
export function Band({ children, label }: { children: ReactNode; label?: string }) {
  return (
    <section
      aria-label={label}
      className="border-base-content bg-base-200 flex flex-wrap items-center gap-x-5 gap-y-2 rounded-xl border-[1.5px] px-4 py-3"
    >
      {children}
    </section>
  );
}

/** A small press with a picture; its words are its label. */
export function IconButton(props: {
  label: string;
  off?: boolean;
  onPress: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={props.label}
      disabled={props.off}
      onClick={props.onPress}
      className="hover:bg-base-300 grid h-8 w-8 place-items-center rounded-md disabled:opacity-30"
    >
      {props.children}
    </button>
  );
}

/** How many minutes there are, by the whole one. */
export function MinutesSlider(props: {
  minutes: number;
  most: number;
  onMinutes: (minutes: number) => void;
}) {
  return (
    <label className="flex items-center gap-2">
      <b className="w-14 text-right">{props.minutes} min</b>
      <input
        type="range"
        min={1}
        max={props.most}
        value={props.minutes}
        aria-label="Minutes there are"
        className="range range-xs w-44"
        onChange={(event) => props.onMinutes(Number(event.target.value))}
      />
    </label>
  );
}
